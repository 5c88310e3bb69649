package app.clearpane.usecases.clients;

import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Relation;
import app.clearpane.core.people.Actor;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.Forgetting;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;

/** Nobody is forgotten who did not ask, or whose word is still needed; and nothing is done before it is sure. */
class ForgetContactTest {
    private static final ContactId PER = new ContactId(new UUID(1, 1));
    private static final Actor BASTIAN = Actor.kept("Bastian");
    private final Directory directory = mock();
    private final KeepClient keepClient = mock();
    private final Forgetting forgetting = mock();
    private final OwnThings own = mock();
    private final TheAgency agency = mock();
    private final ForgetContact forget =
            new ForgetContact(directory, keepClient, forgetting, own, agency, mock(AuditLog.class));

    @BeforeEach
    void perAsked() {
        when(own.asksForgettingSince(PER)).thenReturn(Optional.of(Instant.EPOCH));
        when(agency.get()).thenReturn(new Agency(new UUID(1, 3), "Marram & Finch", ZoneOffset.UTC));
        when(agency.now()).thenReturn(Instant.EPOCH);
        when(directory.findClientOf(PER))
                .thenReturn(Optional.of(new Directory.Entry(
                        new ClientId(new UUID(1, 2)),
                        "The Trust",
                        Relation.ACTIVE,
                        new Directory.Ahead("", "", null),
                        List.of(),
                        List.of())));
    }

    @Test
    void theirSeatsEndFirstAndTheirNameLast() {
        forget.forget(PER, true, BASTIAN);
        InOrder order = inOrder(keepClient, forgetting);
        order.verify(keepClient).leave(PER, true, BASTIAN);
        order.verify(forgetting).forget(PER, Instant.EPOCH);
    }

    @Test
    void whatStaysIsReadBefore() {
        assertThatExceptionOfType(NeedsConfirmation.class).isThrownBy(() -> forget.forget(PER, false, BASTIAN));
        verify(keepClient, never()).leave(any(), anyBoolean(), any());
        verify(forgetting, never()).forget(any(), any());
    }

    @Test
    void whoDidNotAskIsNotForgotten() {
        when(own.asksForgettingSince(PER)).thenReturn(Optional.empty());
        assertThatExceptionOfType(NotFound.class).isThrownBy(() -> forget.forget(PER, true, BASTIAN));
        verify(forgetting, never()).forget(any(), any());
    }

    @Test
    void whoIsStillNeededStays() {
        doThrow(Refused.because("Per is asked to sign.")).when(keepClient).leave(PER, true, BASTIAN);
        assertThatExceptionOfType(Refused.class).isThrownBy(() -> forget.forget(PER, true, BASTIAN));
        verify(forgetting, never()).forget(any(), any());
    }
}
