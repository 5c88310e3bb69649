package app.clearpane.web.desk.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.HeldRequest;
import app.clearpane.core.turns.Turn;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Everything that has a day, over all projects. */
@Component
class AllDates {
    private final TheAgency agency;

    AllDates(TheAgency agency) {
        this.agency = agency;
    }

    /** What has a day. */
    enum What {
        TASK("tasks"),
        MILESTONE("milestones"),
        REVIEW("reviews"),
        PAPER("papers"),
        REQUEST("requests");

        private final String words;

        What(String words) {
            this.words = words;
        }

        /** What many of them are called. */
        public String words() {
            return words;
        }

        /** Whether it is addressed to people by name: no window is turned for it, and nobody from outside reads it. */
        public boolean byName() {
            return this == PAPER || this == REQUEST;
        }

        public boolean isMilestone() {
            return this == MILESTONE;
        }
    }

    /**
     * Something on its day.
     *
     * @param day the day it is due, else the day it is forecast to end, or was done
     * @param who whom it is with; empty for nobody in person
     * @param with who of the team has it in hand, or helps with it
     * @param client whether it is the client's turn
     * @param tone "late", "client", "ours", "done" or "quiet"
     */
    record Dated(
            ItemId item,
            LocalDate day,
            String name,
            String address,
            What what,
            String who,
            Set<TeamMemberId> with,
            boolean client,
            String tone,
            Project project) {}

    /** All of it, by day. @param addressed papers and requests that are not settled */
    List<Dated> gather(
            Collection<DeliverableState> works, Map<ProjectId, ProjectPlan> plans, ReadAddressed.Addressed addressed) {
        List<Dated> dated = new ArrayList<>();
        plans.values().forEach(plan -> {
            plan.tasks().stream()
                    .filter(task -> plan.outline().isLeaf(task.id())
                            && task.details().follows().isEmpty()
                            && task.task().stage() != Stage.DROPPED)
                    .forEach(task -> dated.add(task(task, plan)));
            plan.milestones().forEach(milestone -> dated.add(milestone(milestone, plan)));
        });
        works.stream()
                .filter(state -> plans.containsKey(state.deliverable().project()))
                .forEach(state -> state.round().filter(round -> round.open()).ifPresent(round -> {
                    LocalDate day =
                            LocalDate.ofInstant(round.dueAt(), agency.get().zone());
                    dated.add(new Dated(
                            state.deliverable().id(),
                            day,
                            state.deliverable().name() + ", "
                                    + state.current().orElseThrow().called(),
                            "/t/deliverables/" + state.deliverable().id(),
                            What.REVIEW,
                            "client",
                            Set.of(),
                            true,
                            tone(day, "client"),
                            project(plans, state.deliverable().project())));
                }));
        addressed.requests().stream()
                .filter(request -> plans.containsKey(request.project()) && request.turn() == Turn.CLIENTS)
                .forEach(request -> dated.add(request(request, project(plans, request.project()))));
        addressed.papers().stream()
                .filter(paper -> plans.containsKey(paper.project()) && paper.waits(agency.today()))
                .forEach(paper -> paper.due()
                        .ifPresent(due -> dated.add(new Dated(
                                new ItemId(paper.id().value()),
                                due,
                                paper.name(),
                                "/t/projects/" + paper.project() + "/papers",
                                What.PAPER,
                                "client",
                                Set.of(),
                                true,
                                tone(due, "client"),
                                project(plans, paper.project())))));
        return dated.stream()
                .sorted(Comparator.comparing(Dated::day).thenComparing(Dated::name))
                .toList();
    }

    private Dated request(HeldRequest request, Project project) {
        LocalDate day = LocalDate.ofInstant(
                request.sent().orElseThrow().due(), agency.get().zone());
        return new Dated(
                new ItemId(request.id().value()),
                day,
                request.title(),
                "/t/projects/" + project.id() + "/requests#r" + request.id(),
                What.REQUEST,
                "client",
                Set.of(),
                true,
                tone(day, "client"),
                project);
    }

    private static Project project(Map<ProjectId, ProjectPlan> plans, ProjectId id) {
        return java.util.Objects.requireNonNull(plans.get(id)).project();
    }

    private String tone(LocalDate day, String otherwise) {
        return day.isBefore(agency.today()) ? "late" : otherwise;
    }

    private Dated task(PlannedTask task, ProjectPlan plan) {
        boolean done = task.task().stage() == Stage.DONE;
        boolean client = ProjectPlan.isClientsTurn(task);
        LocalDate last = plan.hasDays(task.id()) ? plan.lastDay(task.id()) : plan.today();
        LocalDate day = done
                ? task.task().actual().done().orElse(last)
                : task.details().due().orElse(last);
        Set<TeamMemberId> with = Stream.concat(
                        task.hands().member().stream(),
                        task.details().also().helpers().stream().map(PlannedTask.Helper::id))
                .collect(Collectors.toSet());
        return new Dated(
                task.id(),
                day,
                task.name(),
                "/t/tasks/" + task.id(),
                What.TASK,
                task.hands().name().isEmpty()
                        ? client ? "client" : ""
                        : task.hands().name(),
                with,
                client,
                done ? "done" : tone(day, client ? "client" : "ours"),
                plan.project());
    }

    private Dated milestone(Milestone milestone, ProjectPlan plan) {
        LocalDate day = plan.hasDays(milestone.id()) ? plan.lastDay(milestone.id()) : milestone.fallsOn();
        return new Dated(
                milestone.id(),
                day,
                milestone.name(),
                "/t/projects/" + plan.project().id() + "/plan?as=dates",
                What.MILESTONE,
                "",
                Set.of(plan.project().manager()),
                false,
                milestone.reached() ? "done" : tone(day, "quiet"),
                plan.project());
    }
}
