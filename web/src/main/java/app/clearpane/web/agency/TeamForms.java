package app.clearpane.web.agency;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.store.agency.People;
import app.clearpane.web.layout.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How members of the team stand, for forms that change them. */
@Component
class TeamForms implements FormStates {
  private final People people;

  TeamForms(People people) {
    this.people = people;
  }

  @Override
  public List<FormState> states() {
    return List.of(FormState.of("/t/team/{member}/role", "role", this::now), FormState.of("/t/team/{member}/leave", "", this::now));
  }

  private Optional<String> now(Asked asked) {
    try {
      return people.member(TeamMemberId.of(asked.path("member"))).map(member -> member.role().name());
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }
}
