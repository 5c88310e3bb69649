package app.clearpane.usecases.security;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Who is signed in: one of the team, a contact who came by their mail, or whoever has a link. */
public sealed interface Person extends Principal, Serializable {
    /** Their full name. */
    String fullName();

    /** Who they are where something is written down. */
    Actor actor();

    /** One of the team. */
    record OfTeam(UUID id, String fullName, TeamRole role) implements Person {
        public TeamMemberId memberId() {
            return new TeamMemberId(id);
        }

        @Override
        public Actor actor() {
            return new Actor.OfTeam(memberId(), fullName);
        }

        @Override
        public String getName() {
            return "team:" + id;
        }
    }

    /**
     * Whoever has a link with its own key.
     *
     * @param id of the link
     * @param pane it leads to
     * @param keyHash the digest of its key; once the link has another one, this opens nothing
     * @param fullName as they gave it; empty if they only look
     * @param linkName what the team calls the link
     * @param opening of the link by which they came; null if that was not noted
     */
    record ByLink(
            UUID id,
            UUID pane,
            String keyHash,
            String fullName,
            String linkName,
            @Nullable UUID opening) implements Person {
        public SeatId link() {
            return new SeatId(id);
        }

        public Sha256 key() {
            return new Sha256(keyHash);
        }

        public PaneId paneId() {
            return new PaneId(pane);
        }

        @Override
        public Actor actor() {
            return new Actor.Guest(link(), linkName, fullName);
        }

        @Override
        public String getName() {
            return "link:" + id;
        }
    }

    /** A contact. */
    record OfClient(UUID id, String fullName) implements Person {
        public ContactId contactId() {
            return new ContactId(id);
        }

        @Override
        public Actor actor() {
            return new Actor.OfClient(contactId(), fullName);
        }

        @Override
        public String getName() {
            return "contact:" + id;
        }
    }
}
