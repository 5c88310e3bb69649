package app.clearpane.usecases.supply.question;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.supply.AnswerSheet;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.Vault;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import app.clearpane.usecases.supply.GivenFor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Settles between the answers of several people and hands all of them in, which freezes them: their bytes are kept as
 * any other thing that was given, and only the team opens them again, by asking again.
 */
@Component
public class HandInAnswers {
    private final GivenFor givenFor;
    private final Questionnaires questionnaires;
    private final Seats seats;
    private final TakeInFile takeIn;
    private final TheAgency agency;
    private final AuditLog audit;

    HandInAnswers(
            GivenFor givenFor,
            Questionnaires questionnaires,
            Seats seats,
            TakeInFile takeIn,
            TheAgency agency,
            AuditLog audit) {
        this.givenFor = givenFor;
        this.questionnaires = questionnaires;
        this.seats = seats;
        this.takeIn = takeIn;
        this.agency = agency;
        this.audit = audit;
    }

    /** Whether somebody chooses where people differ: whoever speaks for their side. */
    public static boolean mayChoose(Viewer viewer) {
        return viewer.leadVoice() && viewer.mayAct();
    }

    /** Who speaks for the side of a viewer, if anybody does; the team chooses where nobody does. */
    public Optional<String> leadVoice(Viewer viewer) {
        return seats.ofPane(viewer.pane()).stream()
                .filter(seat -> seat.leadVoice() && !seat.state().isEnded())
                .map(SeatRow::name)
                .findFirst();
    }

    /** Chooses whose answer counts. @throws Refused if that is for somebody else to say */
    @Transactional
    public void choose(Viewer viewer, UUID part, UUID question, ContactId of) {
        Request request = locked(viewer, part);
        if (!mayChoose(viewer)) {
            throw Refused.because("Whoever speaks for your side chooses between answers. Nothing was changed.");
        }
        choose(request, part, question, of, viewer.actor());
    }

    /** The same for the team, of a request that was read and locked. */
    void choose(Request request, UUID part, UUID question, ContactId of, Actor by) {
        if (request.missing(NotFound.unless(request.part(part))) == 0) {
            throw Refused.changedMeanwhile("It was handed in meanwhile, so nothing was changed.");
        }
        Questionnaires.Kept kept = NotFound.unless(questionnaires.find(part));
        Question asked = NotFound.unless(kept.questionnaire().question(question));
        Answer answer = NotFound.unless(kept.answers().to(asked, of));
        questionnaires.choose(part, new Answer.Choice(question, of, agency.now()), by);
        audit.append(
                request.project(),
                request.id().value(),
                new RequestActs.AnswerChosen(by, request.title(), asked.words(), answer.name()));
    }

    /** Hands all of it in. @throws Refused if something required is left, or people differ and nobody chose */
    @Transactional
    public void handIn(Viewer viewer, UUID part) {
        Request request = locked(viewer, part);
        if (request.missing(NotFound.unless(request.part(part))) == 0) {
            throw Refused.changedMeanwhile("It was handed in already. Nothing was done twice.");
        }
        Answers answers = NotFound.unless(questionnaires.find(part)).answers();
        if (!answers.mayBeHandedIn()) {
            throw Refused.because(whyNot(answers));
        }
        String name = request.part(part).orElseThrow().name();
        byte[] bytes = AnswerSheet.json(name, answers);
        Vault.Stored stored;
        try {
            stored = takeIn.written(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        givenFor.keep(
                viewer,
                request,
                request.part(part).orElseThrow(),
                List.of(new Supplied(
                        UUID.randomUUID(),
                        part,
                        stored.sha256(),
                        name + ".json",
                        FileFacts.ofKind("application/json", stored.size()),
                        Optional.empty(),
                        new Supplied.Came(viewer.actor(), agency.now(), Supplied.Door.PAGE),
                        List.of(),
                        Optional.empty(),
                        new Supplied.Arrived())));
    }

    private Request locked(Viewer viewer, UUID part) {
        return givenFor.locked(
                viewer, NotFound.unless(questionnaires.find(part)).request());
    }

    private static String whyNot(Answers answers) {
        if (!answers.left().isEmpty()) {
            return "Still to be answered: " + quoted(answers.left()) + ". Nothing was handed in, and nothing is lost.";
        }
        return answers.toChoose().isEmpty()
                ? "Nothing was answered yet."
                : "Answers differ, and somebody has to choose: " + quoted(answers.toChoose()) + ". Nothing was handed "
                        + "in.";
    }

    private static String quoted(List<Question> questions) {
        int most = 3;
        List<String> first = questions.stream()
                .limit(most)
                .map(one -> "“" + one.words() + "”")
                .toList();
        return questions.size() <= most
                ? Words.listed(first)
                : String.join(", ", first) + " and " + (questions.size() - most) + " more";
    }
}
