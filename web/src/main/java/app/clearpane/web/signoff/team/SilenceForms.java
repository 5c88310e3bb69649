package app.clearpane.web.signoff.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What silence means, for the form that changes it. Templates call it {@code agreedTerms}. */
@Component
class SilenceForms implements FormStates, TemplateHelper {
    private final SilenceTerms terms;

    SilenceForms(SilenceTerms terms) {
        this.terms = terms;
    }

    @Override
    public String name() {
        return "agreedTerms";
    }

    /** What it means. */
    public String silence(Optional<SilenceTerms.Terms> agreed) {
        return agreed.map(one -> one.silence().workingDays() + " working days, " + one.agreedWhere())
                .orElse("silence is no answer");
    }

    @Override
    public List<FormState> states() {
        return List.of(FormState.of("/t/projects/{project}/silence", "", asked -> {
            try {
                return Optional.of(silence(terms.termsOf(ProjectId.of(asked.path("project")))));
            } catch (IllegalArgumentException none) {
                return Optional.empty();
            }
        }));
    }
}
