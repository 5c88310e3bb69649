package app.clearpane.usecases.deliverable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RecallVersionUseCaseTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");
    private static final Actor INES = new Actor.OfTeam(new TeamMemberId(new UUID(1, 1)), "Ines");
    private static final VersionId VERSION = new VersionId(new UUID(1, 2));
    private static final ItemId MAP = new ItemId(new UUID(1, 3));
    private static final ProjectId PROJECT = new ProjectId(new UUID(1, 4));
    private static final PaneId BOARD = new PaneId(new UUID(1, 5));
    private static final ContactId OTTOLINE = new ContactId(new UUID(1, 6));
    private static final ContactId PER = new ContactId(new UUID(1, 7));

    private final Deliverables deliverables = mock();
    private final Readers readers = mock();
    private final ReviewsFollow follow = mock();
    private final AuditLog audit = mock();
    private final TheAgency agency = mock();
    private final WriteToContact toContact = mock();
    private final RecallVersion recall = new RecallVersion(deliverables, readers, follow, audit, agency, toContact);

    private static Round round(Round.Standing standing) {
        return new Round(
                new RoundId(new UUID(2, 1)),
                VERSION,
                1,
                NOW,
                NOW,
                new Rule.All(),
                standing,
                List.of(),
                List.of(),
                List.of());
    }

    private static SeatRow seat(ContactId contact, SeatRole role) {
        return new SeatRow(
                new SeatId(UUID.randomUUID()),
                BOARD,
                contact,
                "Somebody",
                "somebody@penwether.example",
                role,
                false,
                SeatState.ACCEPTED,
                NOW,
                NOW,
                1);
    }

    @BeforeEach
    void aVersionThatWasSentToTwo() {
        Deliverable map = mock();
        when(map.id()).thenReturn(MAP);
        when(map.project()).thenReturn(PROJECT);
        when(map.pane()).thenReturn(BOARD);
        when(map.name()).thenReturn("Map");
        when(agency.now()).thenReturn(NOW);
        when(deliverables.find(MAP)).thenReturn(Optional.of(map));
        when(deliverables.version(VERSION))
                .thenReturn(Optional.of(new Version(
                        VERSION, MAP, 2, Sha256.ofText("x"), "map.pdf", "application/pdf", 1, "", INES, NOW, NOW)));
        when(deliverables.round(VERSION)).thenReturn(Optional.of(round(new Round.Open())));
        when(readers.audienceOf(any(), any()))
                .thenReturn(new Readers.Audience(
                        "The board",
                        List.of(seat(OTTOLINE, SeatRole.SIGNATORY)),
                        List.of(seat(PER, SeatRole.READER)),
                        List.of()));
    }

    @Test
    void itsRoundIsClosedThePlanFollowsAndEverybodyWhoWasToldIsToldWhy() {
        recall.recall(VERSION, "  The wrong sheet  ", INES);
        verify(deliverables).lock(MAP);
        verify(deliverables).close(round(new Round.Open()).id(), Outcome.RECALLED, INES, "The wrong sheet", NOW);
        verify(follow).recalled(PROJECT, MAP, INES);
        verify(audit)
                .append(
                        eq(PROJECT),
                        eq(MAP.value()),
                        eq(new VersionActs.VersionRecalled(INES, "Map", 2, Sha256.ofText("x"), "The wrong sheet")));
        for (ContactId told : List.of(OTTOLINE, PER)) {
            verify(toContact)
                    .write(
                            eq(told),
                            argThat(note -> note.subject().equals("Recalled: Map, version 2")
                                    && note.paragraphs().get(0).contains("“The wrong sheet”")
                                    && note.page().equals("/c/panes/" + BOARD)));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   "})
    void withoutAReasonNothingIsDone(String reason) {
        assertThatThrownBy(() -> recall.recall(VERSION, reason, INES)).isInstanceOf(Refused.class);
        verifyNoInteractions(deliverables, audit, toContact);
    }

    @Test
    void aRoundThatIsClosedStaysAsItIs() {
        when(deliverables.round(VERSION))
                .thenReturn(Optional.of(round(new Round.Closed(NOW, INES, Optional.empty(), Outcome.SIGNED))));
        assertThatThrownBy(() -> recall.recall(VERSION, "The wrong sheet", INES))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("closed already");
        verify(deliverables, never()).close(any(), any(), any(), any(), any());
        verifyNoInteractions(audit, toContact, follow);
    }

    @Test
    void whatIsNotThereIsNotFound() {
        assertThatThrownBy(() -> recall.recall(new VersionId(new UUID(9, 9)), "Why", INES))
                .isInstanceOf(NotFound.class);
        when(deliverables.round(VERSION)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> recall.recall(VERSION, "A draft", INES)).isInstanceOf(NotFound.class);
        assertThat(deliverables.find(MAP)).isPresent();
    }
}
