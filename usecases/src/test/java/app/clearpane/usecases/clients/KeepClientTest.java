package app.clearpane.usecases.clients;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Relation;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Who of a client cannot leave yet. */
class KeepClientTest {
    private static final ContactId OTTOLINE = new ContactId(new UUID(1, 1));
    private static final ContactId JASPER = new ContactId(new UUID(1, 2));
    private static final ContactId PER = new ContactId(new UUID(1, 3));
    private static final PaneId BOARD = new PaneId(new UUID(2, 1));
    private static final PaneId VOLUNTEERS = new PaneId(new UUID(2, 2));

    private final Deliverables deliverables = mock();
    private final KeepClient keep = new KeepClient(
            mock(Directory.class),
            deliverables,
            mock(SignInLinks.class),
            mock(TheAgency.class),
            mock(AuditLog.class),
            mock(app.clearpane.store.agency.Sessions.class),
            mock(EndSeat.class));

    @BeforeEach
    void nothingToSign() {
        when(deliverables.roundsOfActiveProjects()).thenReturn(List.of());
    }

    private static Directory.Seated seat(PaneId pane, boolean leadVoice) {
        return new Directory.Seated(
                new SeatId(UUID.randomUUID()),
                new ProjectId(new UUID(3, 1)),
                "Visitor centre",
                pane,
                "Board",
                SeatRole.SIGNATORY,
                leadVoice,
                SeatState.ACCEPTED);
    }

    private static Directory.Someone someone(ContactId id, Directory.Seated... seats) {
        return new Directory.Someone(id, "Somebody", "somebody@penwether.example", "", null, List.of(seats));
    }

    private static List<Directory.Entry> client(Directory.Someone... people) {
        return List.of(new Directory.Entry(
                new ClientId(new UUID(4, 1)),
                "Penwether Observatory Trust",
                Relation.ACTIVE,
                new Directory.Ahead("", "", null),
                List.of(),
                Arrays.asList(people)));
    }

    private static Round open(ContactId signer) {
        return new Round(
                new RoundId(new UUID(5, 1)),
                new VersionId(new UUID(5, 2)),
                1,
                Instant.EPOCH,
                Instant.EPOCH,
                new Rule.All(),
                List.of(new Round.Signatory(signer, "Somebody", false)));
    }

    @Test
    void whoeverSpeaksForOthersAtAPaneIsNeeded() {
        assertThat(keep.needed(client(someone(OTTOLINE, seat(BOARD, true)), someone(JASPER, seat(BOARD, false)))))
                .containsExactly(OTTOLINE);
    }

    @Test
    void whoeverSpeaksForNobodyElseIsNot() {
        assertThat(keep.needed(client(someone(OTTOLINE, seat(BOARD, true)), someone(JASPER, seat(VOLUNTEERS, false)))))
                .as("others sit at another pane")
                .isEmpty();
    }

    @Test
    void othersAtThePaneCountWhicheverClientTheyAreOf() {
        List<Directory.Entry> two = new java.util.ArrayList<>(client(someone(OTTOLINE, seat(BOARD, true))));
        two.addAll(client(someone(PER, seat(BOARD, false))));
        assertThat(keep.needed(two)).containsExactly(OTTOLINE);
    }

    @Test
    void whoeverIsAskedToSignIsNeededEvenWithoutASeat() {
        when(deliverables.roundsOfActiveProjects()).thenReturn(List.of(open(PER)));
        assertThat(keep.needed(client(someone(OTTOLINE, seat(BOARD, true))))).containsExactly(PER);
    }
}
