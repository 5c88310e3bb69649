package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What was said of a task, each in a few words, as its page gives them before anything is opened to be changed.
 *
 * @param who who does it, and who helps
 * @param days how long it takes and what is left of it
 * @param when by when, from when, since when
 * @param waits what must be done first
 * @param stands under what it stands, and what it is the making or the review of
 * @param presses how much it presses, and its labels
 */
record TaskFacts(String who, String days, String when, String waits, String stands, String presses) {

    /** @param works the names of the project's deliverables */
    static TaskFacts of(PlannedTask planned, ProjectPlan plan, Map<ItemId, String> works, Words words) {
        return new TaskFacts(
                who(planned),
                days(planned.task(), words),
                when(planned, plan, words),
                waits(planned.task(), plan, words),
                stands(planned, plan, works),
                presses(planned.details()));
    }

    private static String who(PlannedTask planned) {
        String does = planned.hands().name().isEmpty()
                ? planned.task().side() == Side.CLIENTS ? "the client" : "nobody yet"
                : planned.hands().name();
        List<String> helpers = planned.details().also().helpers().stream()
                .map(PlannedTask.Helper::name)
                .toList();
        return helpers.isEmpty() ? does : does + ", with " + Words.listed(helpers);
    }

    private static String days(Task task, Words words) {
        return said(List.of(
                task.milestone()
                        ? Optional.of("a day rather than work")
                        : Optional.of(words.count(task.shape().days(), "working day", "working days")),
                task.shape().effortMinutes().isPresent()
                        ? Optional.of("about "
                                + words.hours(task.shape().effortMinutes().getAsInt()))
                        : Optional.empty(),
                task.stage().open()
                        ? task.actual().remaining().map(left -> left.days() + " still needed")
                        : Optional.empty()));
    }

    private static String when(PlannedTask planned, ProjectPlan plan, Words words) {
        Task task = planned.task();
        String said = said(List.of(
                due(planned.details().by(), plan, words),
                task.shape().notBefore().map(day -> "not before " + words.day(day)),
                task.actual().began().map(day -> (task.side() == Side.CLIENTS ? "sent " : "began ") + words.day(day)),
                task.actual().done().map(day -> "done " + words.day(day))));
        return said.isEmpty() ? "as the plan has it" : said;
    }

    private static Optional<String> due(Due by, ProjectPlan plan, Words words) {
        Optional<String> why = by.before()
                .map(rule -> plan.nameOf(rule.activity()))
                .map(name -> name.isEmpty()
                        ? "what it was due before is not in the plan any more"
                        : by.before().orElseThrow().days() == 0
                                ? "the day “" + name + "” begins"
                                : words.count(by.before().orElseThrow().days(), "working day", "working days")
                                        + " before “" + name + "” begins");
        return by.day()
                .map(day -> "due " + words.dueBy(day, by.hour().orElse(null))
                        + why.map(reason -> ", " + reason).orElse(""))
                .or(() -> why.map(reason -> "due " + reason));
    }

    private static String waits(Task task, ProjectPlan plan, Words words) {
        return task.shape().after().isEmpty()
                ? "nothing"
                : task.shape().after().stream()
                        .map(link -> plan.nameOf(link.predecessor())
                                + (link.lagDays() == 0
                                        ? ""
                                        : ", then " + words.count(link.lagDays(), "working day", "working days")))
                        .collect(Collectors.joining("; "));
    }

    private static String stands(PlannedTask planned, ProjectPlan plan, Map<ItemId, String> works) {
        PlannedTask.Details details = planned.details();
        List<String> also = details.also().phases().stream()
                .flatMap(id -> phase(plan, id).stream())
                .toList();
        String said = said(List.of(
                details.phase().flatMap(id -> phase(plan, id)).map(name -> "in " + name),
                also.isEmpty() ? Optional.empty() : Optional.of("also in " + Words.listed(also)),
                details.milestone().map(plan::nameOf).map(name -> "“" + name + "” waits for it"),
                details.deliverable()
                        .map(works::get)
                        .map(name ->
                                (planned.task().side() == Side.CLIENTS ? "the review of " : "the making of ") + name)));
        return said.isEmpty() ? "in no phase" : said;
    }

    private static Optional<String> phase(ProjectPlan plan, UUID id) {
        return plan.phases().stream()
                .filter(one -> one.id().equals(id))
                .map(Phase::name)
                .findFirst();
    }

    private static String presses(PlannedTask.Details details) {
        String much = details.priority() == Priority.HIGH
                ? "more than others"
                : details.priority() == Priority.LOW ? "less than others" : "as usual";
        return details.labels().isEmpty() ? much : much + " · " + String.join(", ", details.labels());
    }

    private static String said(List<Optional<String>> parts) {
        return parts.stream().flatMap(Optional::stream).collect(Collectors.joining(" · "));
    }
}
