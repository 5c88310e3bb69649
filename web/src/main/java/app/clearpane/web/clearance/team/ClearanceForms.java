package app.clearpane.web.clearance.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.usecases.clearance.ClearanceOf;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.clearance.ChecklistWords;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How checklists stand, for forms that change them. */
@Component
class ClearanceForms implements FormStates {
    private final States states;
    private final ClearanceOf clearance;

    ClearanceForms(States states, ClearanceOf clearance) {
        this.states = states;
        this.clearance = clearance;
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/deliverables/{deliverable}/checklist", "", asked -> linesOf(asked)
                        .map(ChecklistWords::inOneLine)),
                FormState.of("/t/deliverables/{deliverable}/checklist/{line}", "ticked", asked -> linesOf(asked)
                        .flatMap(lines -> lines.stream()
                                .filter(line -> line.id().toString().equals(asked.path("line")))
                                .findFirst())
                        .map(line -> String.valueOf(line.ticked()))));
    }

    private Optional<List<Checklists.Line>> linesOf(Asked asked) {
        try {
            return Optional.of(clearance
                    .check(states.statesOf(ItemId.of(asked.path("deliverable"))))
                    .lines());
        } catch (IllegalArgumentException | NotFound none) {
            return Optional.empty();
        }
    }
}
