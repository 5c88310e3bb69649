package app.clearpane.web.plan.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.DueWeek;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.plan.PlanForClients;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Looks;
import app.clearpane.web.exposure.client.Through;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A task, for those who see it; to be done by whom it was given to. */
@Controller
class VisibleTaskController {
    private final VisibleTasks tasks;
    private final VisibleDates dates;
    private final PlanForClients plans;
    private final Viewers viewers;
    private final Looks looks;
    private final SheetBytes bytes;
    private final TheAgency agency;

    VisibleTaskController(
            VisibleTasks tasks,
            VisibleDates dates,
            PlanForClients plans,
            Viewers viewers,
            Looks looks,
            SheetBytes bytes,
            TheAgency agency) {
        this.tasks = tasks;
        this.dates = dates;
        this.plans = plans;
        this.viewers = viewers;
        this.looks = looks;
        this.bytes = bytes;
        this.agency = agency;
    }

    @GetMapping({"/c/panes/{pane}/tasks/{task}", "/t/look/{seat}/{sight}/tasks/{task}"})
    String look(Viewer viewer, @PathVariable ItemId task, Model model) {
        VisibleTasks.Row found = NotFound.unless(tasks.find(viewer, task));
        looks.opened(viewer, task);
        model.addAttribute("task", found);
        model.addAttribute("comments", tasks.comments(viewer, task));
        model.addAttribute("files", tasks.files(viewer, task));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "plan/client/task";
    }

    /**
     * All tasks they see, as planned or by their day. @param when one of {@link DueWeek}; empty for all @param by
     * "due", else as planned
     */
    @GetMapping({"/c/panes/{pane}/tasks", "/t/look/{seat}/{sight}/tasks"})
    String all(
            Viewer viewer,
            @RequestParam(defaultValue = "") String when,
            @RequestParam(defaultValue = "due") String by,
            Model model) {
        List<VisibleTasks.Row> rows = tasks.all(viewer);
        NotFound.unless(Optional.of(rows).filter(some -> !some.isEmpty()));
        LocalDate today = agency.today();
        Map<DueWeek, Long> counts = rows.stream()
                .collect(Collectors.groupingBy(
                        row -> week(row, today), () -> new EnumMap<>(DueWeek.class), Collectors.counting()));
        Comparator<VisibleTasks.Row> byDue = Comparator.comparing(
                        (VisibleTasks.Row row) -> !row.stage().open())
                .thenComparing(
                        row -> row.stage().open() ? row.due() : null, Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(VisibleTasks.Row::done, Comparator.nullsFirst(Comparator.reverseOrder()));
        model.addAttribute(
                "rows",
                rows.stream()
                        .filter(row -> when.isEmpty() || week(row, today).name().equals(when))
                        .sorted(by.equals("due") ? byDue : (one, other) -> 0)
                        .toList());
        model.addAttribute("weeks", counts);
        model.addAttribute("many", rows.size());
        model.addAttribute("when", when);
        model.addAttribute("by", by);
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "plan/client/tasks";
    }

    private static DueWeek week(VisibleTasks.Row row, LocalDate today) {
        return DueWeek.of(Optional.ofNullable(row.due()), row.stage().open(), today);
    }

    @GetMapping({"/c/panes/{pane}/days", "/t/look/{seat}/{sight}/days"})
    String days(Viewer viewer, Model model) {
        looks.opened(viewer, NotFound.unless(dates.account(viewer)));
        Map<ItemId, String> seen =
                tasks.all(viewer).stream().collect(Collectors.toMap(VisibleTasks.Row::id, VisibleTasks.Row::name));
        model.addAttribute("account", NotFound.unless(plans.account(viewer, seen)));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "plan/client/days";
    }

    @GetMapping({"/c/panes/{pane}/tasks/{task}/files/{beside}", "/t/look/{seat}/{sight}/tasks/{task}/files/{beside}"})
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable ItemId task, @PathVariable UUID beside) {
        TaskFiles.TaskFile file = NotFound.unless(tasks.files(viewer, task).stream()
                .filter(one -> one.id().equals(beside))
                .findFirst());
        return bytes.download(file.sha256(), file.name());
    }
}
