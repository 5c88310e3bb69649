package app.clearpane.web.agency.team;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How members of the team stand, for forms that change them. */
@Component
public class TeamForms implements FormStates, TemplateHelper {
    private final People people;
    private final ProjectPeople onProject;

    TeamForms(People people, ProjectPeople onProject) {
        this.people = people;
        this.onProject = onProject;
    }

    @Override
    public String name() {
        return "teamed";
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/team/{member}/role", "role", this::now),
                FormState.of("/t/team/{member}/leave", "", this::now),
                FormState.of("/t/projects/{project}/people/{contact}", "", this::contactNow),
                FormState.of("/t/projects/{project}/of-us/{member}", "", this::ofUsNow),
                FormState.of("/t/projects/{project}/closed", "closed", this::closedNow));
    }

    /** Somebody on a project as they stand, for a form. */
    public String ofUs(ProjectPeople.OfUs one) {
        return one.does() + "; " + (one.shown() ? "clients read it" : "for us");
    }

    private Optional<String> closedNow(Asked asked) {
        try {
            return Optional.of(String.valueOf(onProject.isClosed(ProjectId.of(asked.path("project")))));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private Optional<String> ofUsNow(Asked asked) {
        try {
            return onProject
                    .find(ProjectId.of(asked.path("project")), TeamMemberId.of(asked.path("member")))
                    .map(this::ofUs);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    /** A contact as it stands, for a form. Templates call it {@code teamed}. */
    public String contact(Contact contact) {
        return contact.name() + ", " + contact.email() + ", " + contact.occupation();
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
            return people.member(TeamMemberId.of(asked.path("member")))
                    .map(member -> member.role().name());
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
