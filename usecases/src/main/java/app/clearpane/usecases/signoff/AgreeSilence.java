package app.clearpane.usecases.signoff;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.reminders.Silence;
import app.clearpane.store.project.Projects;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Agrees that silence counts as a sign-off, as it stands in writing between the two. */
@Component
public class AgreeSilence {
    private static final int LONGEST = 400;
    private final SilenceTerms terms;
    private final Projects projects;
    private final AuditLog audit;
    private final TheAgency agency;

    AgreeSilence(SilenceTerms terms, Projects projects, AuditLog audit, TheAgency agency) {
        this.terms = terms;
        this.projects = projects;
        this.audit = audit;
        this.agency = agency;
    }

    /** What was agreed in a project; empty where silence is no answer. */
    public Optional<SilenceTerms.Terms> termsOf(ProjectId project) {
        return terms.termsOf(project);
    }

    /**
     * Keeps what was agreed. @param days blank where silence is no answer @param agreedWhere where it stands in writing
     */
    @Transactional
    public void agree(ProjectId project, String days, String agreedWhere, Actor by) {
        String name = NotFound.unless(projects.find(project)).fullName();
        Input input = new Input();
        String where = input.text("Where it was agreed", agreedWhere, LONGEST);
        Optional<Integer> counted =
                days.isBlank() ? Optional.empty() : input.number("The working days", days, 1, Silence.MOST_DAYS);
        input.require(
                days.isBlank() || !where.isEmpty(),
                "Say where it was agreed in writing; without that, silence is no answer.");
        input.allGood();
        terms.set(project, counted.map(number -> new SilenceTerms.Terms(new Silence(number), where, by, agency.now())));
        audit.append(
                project,
                project.value(),
                new DecisionActs.SilenceSet(
                        by, name, counted.map(String::valueOf).orElse("off"), where));
    }
}
