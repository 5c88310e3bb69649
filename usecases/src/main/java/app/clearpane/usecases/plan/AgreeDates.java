package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Agrees on the dates of a project: from now on what moves is counted from the plan as it is today. */
@Component
public class AgreeDates {
    private final Projects projects;
    private final Agreements agreements;
    private final NewItem newItem;
    private final Panes panes;
    private final KeepPlan keepPlan;
    private final AuditLog audit;
    private final Clock clock;

    AgreeDates(
            Projects projects,
            Agreements agreements,
            NewItem newItem,
            Panes panes,
            KeepPlan keepPlan,
            AuditLog audit,
            Clock clock) {
        this.projects = projects;
        this.agreements = agreements;
        this.newItem = newItem;
        this.panes = panes;
        this.keepPlan = keepPlan;
        this.audit = audit;
        this.clock = clock;
    }

    @Transactional
    public void typed(ProjectId project, String finish, boolean withClient, Actor by) {
        Input input = new Input();
        Optional<LocalDate> day = input.day("The finish", finish);
        input.allGood();
        agree(project, day.orElseThrow(), withClient, by);
    }

    /**
     * Agrees on a finish. Earlier agreements are kept. The account of the days that begins is held back from every pane
     * until somebody lets it go.
     */
    @Transactional
    public void agree(ProjectId project, LocalDate finish, boolean withClient, Actor by) {
        NotFound.unless(projects.find(project));
        ProjectPlan plan = keepPlan.changed(project);
        if (finish.isBefore(plan.project().startsOn())) {
            throw Refused.because("The finish lies before the project’s start. Nothing was changed.");
        }
        agree(
                plan,
                new Agreements.Agreement(
                        UUID.randomUUID(),
                        finish,
                        plan.today(),
                        by,
                        withClient,
                        PlanBook.text(plan).write()),
                by);
    }

    /**
     * Agrees on what was put before the client, whatever became of the plan since; that is counted from it as changes
     * are. @param agreed all who agreed @param by the last of them
     */
    @Transactional
    public void asAsked(ProjectId project, Agreements.Asked asked, String agreed, Actor by) {
        ProjectPlan plan = keepPlan.changed(project);
        agree(
                plan,
                new Agreements.Agreement(
                        UUID.randomUUID(),
                        asked.finish(),
                        plan.today(),
                        agreed.equals(by.name()) ? by : Actor.kept(agreed),
                        true,
                        asked.plan()),
                by);
    }

    private void agree(ProjectPlan plan, Agreements.Agreement agreement, Actor by) {
        ProjectId project = plan.project().id();
        if (agreements.account(project).isEmpty()) {
            ItemId account = newItem.add(project, ContentKind.DATES, "Where the days went", Optional.empty(), by);
            agreements.addAccount(project, account);
            panes.holdBackEverywhere(account, agreement.setBy(), clock.instant());
        }
        agreements.add(project, agreement, clock.instant());
        keepPlan.changed(project);
        audit.append(
                project,
                project.value(),
                new PlanActs.DatesAgreed(
                        by, plan.project().name(), agreement.finish(), plan.finish(), agreement.withClient()));
    }

    /** Lets a project rest: whose days these are nobody has to answer for. */
    @Transactional
    public void pause(ProjectId id, String because, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", because, 400);
        input.require(!why.isEmpty(), "Say why the project rests; it stands in the Record.");
        input.allGood();
        Project project = NotFound.unless(projects.find(id));
        projects.pause(project, clock.instant(), why);
        keepPlan.changed(id);
        audit.append(id, id.value(), new PlanActs.ProjectPaused(by, project.name(), why));
    }

    /** Lets it go on. */
    @Transactional
    public void goOn(ProjectId id, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        projects.pause(project, null, "");
        keepPlan.changed(id);
        audit.append(id, id.value(), new PlanActs.ProjectGoesOn(by, project.name()));
    }
}
