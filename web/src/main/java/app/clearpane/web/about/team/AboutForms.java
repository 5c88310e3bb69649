package app.clearpane.web.about.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.ProjectWords;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Forms of what a project says, each with what it was shown with. */
@Component
class AboutForms implements FormStates {
    private final ProjectWords words;
    private final ProjectPeople onProject;

    AboutForms(ProjectWords words, ProjectPeople onProject) {
        this.words = words;
        this.onProject = onProject;
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/said/{said}/shown", "shown", this::now),
                FormState.of("/t/projects/{project}/hours-shown", "shown", this::hoursNow),
                FormState.of("/t/projects/{project}/says", "toClient", this::saysNow));
    }

    private Optional<String> saysNow(Asked asked) {
        try {
            return Optional.of(String.valueOf(onProject.saysToClient(ProjectId.of(asked.path("project")))));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private Optional<String> hoursNow(Asked asked) {
        try {
            return Optional.of(String.valueOf(onProject.hoursShown(ProjectId.of(asked.path("project")))));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private Optional<String> now(Asked asked) {
        try {
            UUID id = UUID.fromString(asked.path("said"));
            return words.projectOf(id)
                    .flatMap((ProjectId project) -> words.said(project).stream()
                            .filter(one -> one.id().equals(id))
                            .findFirst())
                    .map(one -> String.valueOf(one.shown()));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
