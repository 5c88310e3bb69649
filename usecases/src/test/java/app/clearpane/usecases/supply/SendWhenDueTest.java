package app.clearpane.usecases.supply;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Term;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.transaction.support.TransactionTemplate;

/** Which drafts go out by themselves, and when: the whole table. */
class SendWhenDueTest {
    private static final WorkingCalendar LONDON = WorkingCalendar.weekdays(ZoneId.of("Europe/London"));
    private static final ProjectId PROJECT = new ProjectId(new UUID(0, 1));
    private final Requests requests = mock();
    private final Projects projects = mock();
    private final SendRequest sendRequest = mock();
    private final RequestInPlan plan = mock();
    private final TheAgency agency = mock();
    private final Agency founded = mock();
    private final Project project = mock();
    private final SendWhenDue round =
            new SendWhenDue(requests, projects, sendRequest, plan, agency, mock(TransactionTemplate.class));

    @BeforeEach
    void aHouse() {
        when(agency.isFounded()).thenReturn(true);
        when(agency.calendar()).thenReturn(LONDON);
        when(agency.get()).thenReturn(founded);
        when(founded.name()).thenReturn("Marram & Finch");
        when(projects.find(PROJECT)).thenReturn(Optional.of(project));
    }

    private Request draft(LocalDate day, boolean alone) {
        Request draft = new Request(
                new RequestId(UUID.randomUUID()),
                PROJECT,
                "What we need",
                "",
                List.of(),
                List.of(),
                new Term.WithinDays(3),
                new Actor.OfTeam(new TeamMemberId(new UUID(9, 1)), "Ines"),
                new Request.Draft(Optional.of(new Leaving(new Leaving.OnDay(day), alone))),
                List.of(),
                Optional.empty(),
                1);
        when(plan.goesOut(draft)).thenReturn(Optional.of(day));
        return draft;
    }

    @ParameterizedTest(name = "on {0} at {1}Z, alone {2}, resting {3}: {4}")
    @CsvSource({
        "2027-03-24, 2027-03-24T09:30:00Z, true, false, 1",
        "2027-03-24, 2027-03-25T09:30:00Z, true, false, 1",
        "2027-03-24, 2027-03-23T09:30:00Z, true, false, 0",
        "2027-03-24, 2027-03-24T07:30:00Z, true, false, 0",
        "2027-03-24, 2027-03-24T21:30:00Z, true, false, 0",
        "2027-03-24, 2027-03-27T10:30:00Z, true, false, 0",
        "2027-03-24, 2027-03-24T09:30:00Z, false, false, 0",
        "2027-03-24, 2027-03-24T09:30:00Z, true, true, 0"
    })
    void goesOutWithinHoursAndNeverWhileTheProjectRests(
            LocalDate day, Instant now, boolean alone, boolean resting, int sent) {
        Request draft = draft(day, alone);
        when(requests.leaving()).thenReturn(List.of(draft));
        when(agency.now()).thenReturn(now);
        when(agency.today()).thenReturn(now.atZone(LONDON.zone()).toLocalDate());
        when(project.pausedAt()).thenReturn(resting ? now : null);
        round.goRound();
        verify(sendRequest, times(sent)).send(draft.id(), false, new Actor.House("Marram & Finch"));
    }

    @Test
    void whatCannotGoKeepsNothingElseBack() {
        Request nobody = draft(LocalDate.of(2027, 3, 24), true);
        Request good = draft(LocalDate.of(2027, 3, 24), true);
        when(requests.leaving()).thenReturn(List.of(nobody, good));
        Instant now = Instant.parse("2027-03-24T09:30:00Z");
        when(agency.now()).thenReturn(now);
        when(agency.today()).thenReturn(LocalDate.of(2027, 3, 24));
        when(sendRequest.send(eq(nobody.id()), anyBoolean(), any())).thenThrow(Refused.because("Nobody is asked yet."));
        round.goRound();
        verify(sendRequest).send(eq(good.id()), eq(false), any());
    }
}
