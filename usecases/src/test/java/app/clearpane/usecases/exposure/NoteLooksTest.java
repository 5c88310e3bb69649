package app.clearpane.usecases.exposure;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** Looks of the team through a seat are the team's, and are in the Record once an hour. */
class NoteLooksTest {
    private static final ProjectId PROJECT = new ProjectId(new UUID(1, 1));
    private static final PaneId PANE = new PaneId(new UUID(1, 2));
    private static final Person.OfTeam INES = new Person.OfTeam(new UUID(1, 3), "Ines", TeamRole.MANAGER);
    private static final Person.OfTeam TEO = new Person.OfTeam(new UUID(1, 4), "Teo", TeamRole.MAKER);

    private final Panes panes = mock();
    private final AuditLog audit = mock();
    private final TransactionTemplate transactions = mock();
    private final NoteLooks looks = new NoteLooks(panes, audit, transactions);

    @BeforeEach
    @SuppressWarnings("unchecked")
    void aPane() {
        when(panes.find(PANE))
                .thenReturn(Optional.of(
                        new Panes.Row(PANE, PROJECT, "The board", "", null, null, null, "", "night", true, true, 1)));
        doAnswer(call -> {
                    ((Consumer<TransactionStatus>) call.getArgument(0)).accept(mock());
                    return null;
                })
                .when(transactions)
                .executeWithoutResult(any());
    }

    private static Viewer through(int seat) {
        return new Viewer(
                new ContactId(new UUID(2, seat)),
                "Ottoline Vance",
                new SeatId(new UUID(3, seat)),
                SeatRole.SIGNATORY,
                true,
                PANE,
                PROJECT,
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                true,
                Optional.empty(),
                false,
                null,
                1,
                Optional.empty(),
                new Today(LocalDate.of(2027, 3, 24), WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }

    @Test
    void aLookIsTheMembersAndNeverTheClients() {
        looks.note(new LookedThrough(INES, through(1)));
        verify(audit)
                .append(
                        eq(PROJECT),
                        eq(PANE.value()),
                        eq(new ShowingActs.LookedThrough(INES.actor(), "The board", "Ottoline Vance")));
    }

    @Test
    void theSameLookIsWrittenOnceAndAnotherPersonsOrSeatsAnew() {
        looks.note(new LookedThrough(INES, through(1)));
        looks.note(new LookedThrough(INES, through(1)));
        verify(audit, times(1)).append(any(), any(), any());
        looks.note(new LookedThrough(TEO, through(1)));
        looks.note(new LookedThrough(INES, through(2)));
        verify(audit, times(3)).append(any(), any(), any());
    }
}
