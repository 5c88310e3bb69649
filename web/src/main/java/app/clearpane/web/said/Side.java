package app.clearpane.web.said;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.web.security.Person;

/** Who marks up: one of the team, a viewer, or what somebody did elsewhere and this follows from. */
public sealed interface Side {
  /** As what they are named. */
  MarkupRow.Author author();

  /** One of the team. */
  record Team(Person.OfTeam member) implements Side {
    @Override
    public MarkupRow.Author author() {
      return new MarkupRow.Author(member.fullName(), null, member.memberId());
    }
  }

  /** Somebody of the client's. */
  record Client(Viewer viewer) implements Side {
    @Override
    public MarkupRow.Author author() {
      return new MarkupRow.Author(viewer.byLink() ? viewer.name() + ", by a link" : viewer.name(), viewer.byLink() ? null : viewer.contact(), null);
    }
  }

  /** On the team's side, by the name of whoever did what this follows from. */
  record Following(String name) implements Side {
    @Override
    public MarkupRow.Author author() {
      return new MarkupRow.Author(name, null, null);
    }
  }

  /** Who they are to a mark. */
  default MarkupProgress.Actor actorOn(MarkupRow mark) {
    ContactId contact = author().contact();
    TeamMemberId member = author().member();
    boolean own = contact != null && contact.equals(mark.author().contact()) || member != null && member.equals(mark.author().member());
    return new MarkupProgress.Actor(!(this instanceof Client), own);
  }
}
