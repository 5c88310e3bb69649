package app.clearpane.usecases.project;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.LeftOpen;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.WhatEnds;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Closes a project with how it ended, once it was read what is left open, and takes it up again. */
@Component
public class CloseProject {
    private static final int MOST_SAID = 400;
    private static final int MOST_NAMED = 12;
    private final Projects projects;
    private final Deliverables deliverables;
    private final PlanBook plans;
    private final WhatEnds whatEnds;
    private final AuditLog audit;
    private final Clock clock;

    CloseProject(
            Projects projects,
            Deliverables deliverables,
            PlanBook plans,
            WhatEnds whatEnds,
            AuditLog audit,
            Clock clock) {
        this.projects = projects;
        this.deliverables = deliverables;
        this.plans = plans;
        this.whatEnds = whatEnds;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Closes it.
     *
     * @param ended how it ended, as typed
     * @param sure whether what is left open was read
     * @throws NeedsConfirmation if it was not
     */
    @Transactional
    public void close(ProjectId id, String ended, String because, boolean sure, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        if (project.archivedAt() != null) {
            return;
        }
        Input input = new Input();
        Optional<Ending> how = input.one("How it ended", ended, Ending::valueOf);
        String said = input.text("What is said of it", because, MOST_SAID);
        input.allGood();
        List<String> open = open(project);
        if (!sure) {
            throw new NeedsConfirmation(
                    Stream.concat(ours(open).stream(), whatEnds.byArchiving(id).stream())
                            .toList(),
                    "Close it as " + how.orElseThrow().word());
        }
        projects.archive(project, how.orElseThrow(), said, clock.instant());
        audit.append(
                id,
                id.value(),
                new PlanActs.ProjectArchived(
                        by, project.fullName(), how.orElseThrow().word(), said, open));
    }

    private static List<String> ours(List<String> open) {
        if (open.isEmpty()) {
            return List.of("Nothing of it is left open.");
        }
        List<String> named = open.stream()
                .limit(MOST_NAMED)
                .map(name -> "“" + name + "”")
                .collect(Collectors.toCollection(ArrayList::new));
        if (open.size() > MOST_NAMED) {
            named.add((open.size() - MOST_NAMED) + " more");
        }
        return List.of(
                (open.size() == 1 ? "This is left open: " : "These are left open: ") + Words.listed(named) + ".");
    }

    private List<String> open(Project project) {
        Set<ItemId> released = deliverables.versionsOf(project.id()).stream()
                .filter(version -> deliverables.isReleased(version.id()))
                .map(Version::deliverable)
                .collect(Collectors.toSet());
        return LeftOpen.of(
                plans.planOf(project).outline().activities(), deliverables.ofProject(project.id()), released);
    }

    /** Takes it up again. */
    @Transactional
    public void reopen(ProjectId id, Actor by) {
        Project project = NotFound.unless(projects.find(id));
        projects.restore(project);
        audit.append(id, id.value(), new PlanActs.ProjectRestored(by, project.fullName()));
    }
}
