package app.clearpane.web.agency;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.store.agency.Contact;
import app.clearpane.store.agency.People;
import app.clearpane.web.layout.FormStates;
import app.clearpane.web.layout.Speech;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How members of the team stand, for forms that change them. */
@Component
public class TeamForms implements FormStates, Speech {
  private final People people;

  TeamForms(People people) {
    this.people = people;
  }

  @Override
  public String name() {
    return "teamed";
  }

  @Override
  public List<FormState> states() {
    return List.of(FormState.of("/t/team/{member}/role", "role", this::now), FormState.of("/t/team/{member}/leave", "", this::now), FormState.of("/t/projects/{project}/people/{contact}", "", this::contactNow));
  }

  /** A contact as it stands, for a form. Templates call it {@code teamed}. */
  public String contact(Contact contact) {
    return contact.name() + ", " + contact.email() + ", " + contact.says();
  }

  private Optional<String> contactNow(Asked asked) {
    try {
      return people.contact(ContactId.of(asked.path("contact"))).map(this::contact);
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  private Optional<String> now(Asked asked) {
    try {
      return people.member(TeamMemberId.of(asked.path("member"))).map(member -> member.role().name());
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }
}
