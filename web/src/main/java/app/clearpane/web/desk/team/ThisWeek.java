package app.clearpane.web.desk.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.plan.DueWeek;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What falls due in the week at hand over all projects, and what came in and nobody has sorted yet. */
@Component
class ThisWeek {
    private final TheAgency agency;
    private final Words words;

    ThisWeek(TheAgency agency, Words words) {
        this.agency = agency;
        this.words = words;
    }

    /**
     * Something that is due.
     *
     * @param tone "late" before today, "client" or "ours" by who has it, "quiet" for a day that only comes
     */
    record Due(ItemId item, LocalDate day, String name, String address, String who, String tone, Project project) {}

    /**
     * Something that waits to be sorted.
     *
     * @param item a task, or the deliverable that was asked about
     * @param what it is
     */
    record Unsorted(ItemId item, String name, String address, String what, Project project) {}

    /** The Sunday that is looked ahead to. */
    LocalDate lastDay() {
        return DueWeek.lastDayAhead(agency.today(), agency.calendar());
    }

    /** What the days ahead are called. */
    String called() {
        return DueWeek.of(Optional.of(lastDay()), true, agency.today()) == DueWeek.THIS_WEEK
                ? "this week"
                : "next week";
    }

    /** Tasks, reviews and milestones that are due until that Sunday, or were before, by day. */
    List<Due> due(List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans) {
        LocalDate sunday = lastDay();
        List<Due> due = new ArrayList<>();
        plans.values().forEach(plan -> {
            plan.open().stream()
                    .filter(task -> task.details().follows().isEmpty()
                            && task.details().due().isPresent())
                    .forEach(task -> due.add(task(task, plan.project())));
            plan.milestones().stream()
                    .filter(milestone -> !milestone.reached())
                    .forEach(milestone -> due.add(milestone(milestone, plan)));
        });
        works.stream()
                .filter(state -> plans.containsKey(state.deliverable().project()))
                .forEach(state -> state.round().filter(round -> round.open()).ifPresent(round -> {
                    LocalDate day =
                            LocalDate.ofInstant(round.dueAt(), agency.get().zone());
                    due.add(new Due(
                            state.deliverable().id(),
                            day,
                            state.deliverable().name() + ", "
                                    + state.current().orElseThrow().called(),
                            "/t/deliverables/" + state.deliverable().id(),
                            "client",
                            day.isBefore(agency.today()) ? "late" : "client",
                            Objects.requireNonNull(plans.get(state.deliverable().project()))
                                    .project()));
                }));
        return due.stream()
                .filter(one -> !one.day().isAfter(sunday))
                .sorted(Comparator.comparing(Due::day).thenComparing(Due::name))
                .toList();
    }

    private Due task(PlannedTask task, Project project) {
        LocalDate day = task.details().due().orElseThrow();
        boolean client = ProjectPlan.isClientsTurn(task);
        String who = task.hands().name().isEmpty()
                ? client ? "client" : "us"
                : words.first(task.hands().name());
        return new Due(
                task.id(),
                day,
                task.name(),
                "/t/tasks/" + task.id(),
                who,
                day.isBefore(agency.today()) ? "late" : client ? "client" : "ours",
                project);
    }

    private Due milestone(Milestone milestone, ProjectPlan plan) {
        LocalDate day = plan.hasDays(milestone.id()) ? plan.lastDay(milestone.id()) : milestone.fallsOn();
        return new Due(
                milestone.id(),
                day,
                milestone.name(),
                "/t/projects/" + plan.project().id() + "/plan?as=dates",
                "milestone",
                day.isBefore(agency.today()) ? "late" : "quiet",
                plan.project());
    }

    /** Tasks that stand nowhere and are nobody's, and questions of clients that none of us has answered. */
    List<Unsorted> unsorted(List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans) {
        Stream<Unsorted> tasks = plans.values().stream().flatMap(plan -> plan.open().stream()
                .filter(task -> task.task().parent().isEmpty()
                        && task.details().phase().isEmpty()
                        && task.details().follows().isEmpty()
                        && task.hands().contact().isEmpty()
                        && task.hands().member().isEmpty())
                .map(task -> new Unsorted(
                        task.id(), task.name(), "/t/tasks/" + task.id(), "in no phase, nobody’s", plan.project())));
        Stream<Unsorted> questions = works.stream()
                .filter(state -> plans.containsKey(state.deliverable().project()))
                .flatMap(state -> state.marks().stream()
                        .filter(ThisWeek::unanswered)
                        .map(mark -> new Unsorted(
                                state.deliverable().id(),
                                mark.note(),
                                "/t/versions/" + mark.version() + "/light-table#mark-" + mark.id(),
                                "a question of " + words.first(mark.author().name()) + "’s, "
                                        + state.deliverable().name() + " " + mark.label(),
                                Objects.requireNonNull(
                                                plans.get(state.deliverable().project()))
                                        .project())));
        return Stream.concat(tasks, questions).toList();
    }

    private static boolean unanswered(Mark mark) {
        return mark.intent() == Intent.QUESTION
                && mark.progress().unsettled()
                && mark.author().contact().isPresent()
                && mark.answers().stream()
                        .noneMatch(answer -> answer.author().member().isPresent() && !answer.teamOnly());
    }
}
