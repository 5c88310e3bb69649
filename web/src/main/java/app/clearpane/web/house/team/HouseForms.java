package app.clearpane.web.house.team;

import app.clearpane.core.project.ProjectState;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.usecases.house.KeepHouse;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Forms of what things are called here, each with what it was shown with. Templates call it {@code housed}. */
@Component
class HouseForms implements FormStates, TemplateHelper {
    private final HouseHabits habits;

    HouseForms(HouseHabits habits) {
        this.habits = habits;
    }

    @Override
    public String name() {
        return "housed";
    }

    /** What a state is called where nothing else was said. */
    public String plain(ProjectState standing) {
        return StandingWords.plain(standing);
    }

    /** Names of states, one after another. */
    public String standings(Map<ProjectState, String> named) {
        return KeepHouse.NAMEABLE.stream()
                .map(standing -> named.getOrDefault(standing, ""))
                .collect(Collectors.joining("; "));
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/house/standings", "", asked -> Optional.of(standings(habits.standings()))),
                FormState.of(
                        "/t/house/prospects",
                        "steps",
                        asked -> Optional.of(String.join(", ", habits.prospectSteps()))));
    }
}
