package app.clearpane.usecases.supply.question;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.supply.Term;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.supply.question.QuestionLines;
import app.clearpane.core.supply.question.Questionnaire;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.plan.task.WriteDownTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the team does with answers. */
class UseAnswersTest {
    private static final ProjectId PROJECT = new ProjectId(new UUID(1, 1));
    private static final RequestId REQUEST = new RequestId(new UUID(1, 2));
    private static final UUID PART = new UUID(1, 3);
    private static final ContactId GRETE = new ContactId(new UUID(1, 4));
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");

    private final ReadAnswers readAnswers = mock();
    private final HandInAnswers handIn = mock();
    private final Requests requests = mock();
    private final Seats seats = mock();
    private final WriteDownTask writeDown = mock();
    private final Person.OfTeam ines = mock();
    private final UseAnswers use = new UseAnswers(readAnswers, handIn, requests, seats, writeDown);
    private final Questionnaire asked =
            QuestionLines.read("What is it for?\nlong\n").questionnaire();
    private final Question question = asked.questions().get(0);

    @BeforeEach
    void greteAnswered() {
        when(ines.actor()).thenReturn(Actor.kept("Ines"));
        RequestPart part = new RequestPart(PART, "The flour", Takes.ANSWERS, 1, List.of(), List.of(), "", "");
        Request request = new Request(
                REQUEST,
                PROJECT,
                "The flour",
                "",
                List.of(part),
                List.of(),
                new Term.WithinDays(3),
                Actor.kept("Ines"),
                new Request.Sent(NOW, NOW, NOW),
                List.of(),
                Optional.empty(),
                1);
        Answers answers = new Answers(
                asked,
                List.of(new Answer(question.id(), GRETE, "Grete", List.of("For bread.\nAnd for cake."), NOW)),
                List.of());
        when(readAnswers.read(PART))
                .thenReturn(new ReadAnswers.Sheet(
                        request,
                        part,
                        new Questionnaires.Kept(PART, REQUEST, 1, Optional.empty(), answers),
                        Optional.empty()));
        when(requests.find(REQUEST)).thenReturn(Optional.of(request));
    }

    @ParameterizedTest(name = "lead voice {0}, seat {1}: the team chooses {2}")
    @CsvSource({"false, ACCEPTED, true", "true, ACCEPTED, false", "true, INVITED, false", "true, ENDED, true"})
    void theTeamChoosesWhereNobodySpeaksForThem(boolean leadVoice, SeatState state, boolean chooses) {
        SeatRow seat = mock();
        when(seat.leadVoice()).thenReturn(leadVoice);
        when(seat.state()).thenReturn(state);
        when(seats.ofProject(PROJECT)).thenReturn(List.of(seat));
        if (chooses) {
            use.choose(PART, question.id(), GRETE, ines);
            verify(handIn).choose(any(Request.class), eq(PART), eq(question.id()), eq(GRETE), eq(Actor.kept("Ines")));
        } else {
            assertThatThrownBy(() -> use.choose(PART, question.id(), GRETE, ines))
                    .isInstanceOf(Refused.class);
            verify(handIn, never()).choose(any(Request.class), any(), any(), any(), any());
        }
    }

    @Test
    void aTaskBearsTheFirstLineAndSaysWhoSaidSo() {
        use.toTask(PART, question.id(), ines);
        verify(writeDown)
                .ours(
                        PROJECT,
                        "For bread.",
                        "[What is it for?](/t/questionnaires/" + PART + "#q" + question.id()
                                + ")\n\nGrete: For bread.\nAnd for cake.",
                        Optional.empty(),
                        ines);
        assertThat(use.hasLeadVoice(PROJECT)).isFalse();
    }
}
