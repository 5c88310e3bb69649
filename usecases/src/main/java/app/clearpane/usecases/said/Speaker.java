package app.clearpane.usecases.said;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.usecases.security.Person;

/** Who marks up: one of the team, a viewer, or what somebody did elsewhere and this follows from. */
public sealed interface Speaker {
    /** As what they are named. */
    Mark.Author author();

    /** Who they are where something is written down. */
    Actor actor();

    /** One of the team. */
    record Team(Person.OfTeam member) implements Speaker {
        @Override
        public Mark.Author author() {
            return new Mark.Author(member.fullName(), null, member.memberId());
        }

        @Override
        public Actor actor() {
            return member.actor();
        }
    }

    /** Somebody of the client's. */
    record Client(Viewer viewer) implements Speaker {
        @Override
        public Mark.Author author() {
            return new Mark.Author(
                    viewer.actor().name(), viewer.actor().contact().orElse(null), null);
        }

        @Override
        public Actor actor() {
            return viewer.actor();
        }
    }

    /** On the team's side, by whoever did what this follows from. */
    record Following(Actor actor) implements Speaker {
        @Override
        public Mark.Author author() {
            return new Mark.Author(
                    actor.name(), actor.contact().orElse(null), actor.member().orElse(null));
        }
    }

    /** Who they are to a mark. */
    default MarkupProgress.Actor actorOn(Mark mark) {
        ContactId contact = author().contact();
        TeamMemberId member = author().member();
        boolean own = contact != null && contact.equals(mark.author().contact())
                || member != null && member.equals(mark.author().member());
        return new MarkupProgress.Actor(
                this instanceof Client client
                        ? client.viewer().byLink() ? MarkupProgress.Party.GUEST : MarkupProgress.Party.CLIENT
                        : MarkupProgress.Party.TEAM,
                own);
    }
}
