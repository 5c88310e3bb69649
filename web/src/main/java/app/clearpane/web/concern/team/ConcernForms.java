package app.clearpane.web.concern.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.project.Concerns;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How concerns stand, for forms that change them. */
@Component
class ConcernForms implements FormStates {
    private final Concerns concerns;

    ConcernForms(Concerns concerns) {
        this.concerns = concerns;
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/concerns/{concern}/settled", "", this::now),
                FormState.of("/t/concerns/{concern}/delete", "", this::now));
    }

    private Optional<String> now(Asked asked) {
        try {
            return concerns.find(ItemId.of(asked.path("concern"))).map(concern -> "revision " + concern.revision());
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
