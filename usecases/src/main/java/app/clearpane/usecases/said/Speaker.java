package app.clearpane.usecases.said;

import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.people.Actor;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.security.Person;

/** Who marks up: one of the team, a viewer, or what somebody did elsewhere and this follows from. */
public sealed interface Speaker {
    /** Who they are where something is written down. */
    Actor actor();

    /** One of the team. */
    record Team(Person.OfTeam member) implements Speaker {
        @Override
        public Actor actor() {
            return member.actor();
        }
    }

    /** Somebody of the client's. */
    record Client(Viewer viewer) implements Speaker {
        @Override
        public Actor actor() {
            return viewer.actor();
        }
    }

    /** On the team's side, by whoever did what this follows from. */
    record Following(Actor actor) implements Speaker {}

    /** Who they are to a mark. */
    default MarkupProgress.Actor actorOn(Mark mark) {
        return new MarkupProgress.Actor(
                this instanceof Client client
                        ? client.viewer().byLink() ? MarkupProgress.Party.GUEST : MarkupProgress.Party.CLIENT
                        : MarkupProgress.Party.TEAM,
                actor().isSameAs(mark.author()));
    }
}
