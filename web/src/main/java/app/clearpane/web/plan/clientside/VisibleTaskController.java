package app.clearpane.web.plan.clientside;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.DueWeek;
import app.clearpane.core.plan.Stage;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.exposure.clientside.Viewers;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.clientside.VisibleTasks;
import app.clearpane.store.project.clientside.VisibleDates;
import app.clearpane.usecases.plan.DoTask;
import app.clearpane.usecases.plan.MakeFeed;
import app.clearpane.usecases.plan.PlanForClients;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.clientside.Looks;
import app.clearpane.web.exposure.clientside.Through;
import java.io.IOException;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A task, for those who see it; to be done by whom it was given to. */
@Controller
class VisibleTaskController {
    private final VisibleTasks tasks;
    private final VisibleDates dates;
    private final PlanForClients plans;
    private final DoTask doTask;
    private final MakeFeed makeFeed;
    private final Viewers viewers;
    private final Looks looks;
    private final SheetBytes bytes;
    private final TheAgency agency;

    VisibleTaskController(
            VisibleTasks tasks,
            VisibleDates dates,
            PlanForClients plans,
            DoTask doTask,
            MakeFeed makeFeed,
            Viewers viewers,
            Looks looks,
            SheetBytes bytes,
            TheAgency agency) {
        this.tasks = tasks;
        this.dates = dates;
        this.plans = plans;
        this.doTask = doTask;
        this.makeFeed = makeFeed;
        this.viewers = viewers;
        this.looks = looks;
        this.bytes = bytes;
        this.agency = agency;
    }

    @GetMapping({"/c/panes/{pane}/tasks/{task}", "/t/look/{seat}/{sight}/tasks/{task}"})
    String look(Viewer viewer, @PathVariable ItemId task, Model model) {
        VisibleTasks.Row found = NotThere.unless(tasks.find(viewer, task));
        looks.opened(viewer, task);
        model.addAttribute("task", found);
        model.addAttribute("comments", tasks.comments(viewer, task));
        model.addAttribute("files", tasks.files(viewer, task));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "plan/clientside/task";
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
        NotThere.unless(Optional.of(rows).filter(some -> !some.isEmpty()));
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
        return "plan/clientside/tasks";
    }

    private static DueWeek week(VisibleTasks.Row row, LocalDate today) {
        return DueWeek.of(Optional.ofNullable(row.due()), row.stage().open(), today);
    }

    @GetMapping({"/c/panes/{pane}/days", "/t/look/{seat}/{sight}/days"})
    String days(Viewer viewer, Model model) {
        looks.opened(viewer, NotThere.unless(dates.account(viewer)));
        Map<ItemId, String> seen =
                tasks.all(viewer).stream().collect(Collectors.toMap(VisibleTasks.Row::id, VisibleTasks.Row::name));
        model.addAttribute("account", NotThere.unless(plans.account(viewer, seen)));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "plan/clientside/days";
    }

    /** The answer shows the address of a calendar with what they see here, this once. */
    @PostMapping("/c/panes/{pane}/calendar")
    String calendar(Viewer viewer, Model model) {
        Viewers.Heading heading = viewers.heading(viewer);
        model.addAttribute("address", makeFeed.ofSeat(viewer, heading.project()));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", heading);
        return "plan/clientside/calendar";
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/stage")
    String stage(
            Viewer viewer,
            @PathVariable ItemId task,
            @RequestParam Stage stage,
            @RequestParam(defaultValue = "") String from) {
        Stage was = doTask.move(viewer, task, stage);
        return "redirect:" + Through.base(viewer)
                + (from.equals("task") ? "/tasks/" + task + "?was=" + was : "?did=" + task + "&was=" + was);
    }

    @GetMapping({"/c/panes/{pane}/tasks/{task}/files/{beside}", "/t/look/{seat}/{sight}/tasks/{task}/files/{beside}"})
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable ItemId task, @PathVariable UUID beside) {
        TaskFiles.TaskFile file = NotThere.unless(tasks.files(viewer, task).stream()
                .filter(one -> one.id().equals(beside))
                .findFirst());
        return bytes.download(file.sha256(), file.name());
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/files")
    String bring(Viewer viewer, @PathVariable ItemId task, @RequestParam MultipartFile file) throws IOException {
        doTask.bring(
                viewer, task, Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getInputStream());
        return "redirect:" + Through.base(viewer) + "/tasks/" + task + "#files";
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/comments")
    String say(Viewer viewer, @PathVariable ItemId task, @RequestParam String said) {
        doTask.say(viewer, task, said);
        return "redirect:" + Through.base(viewer) + "/tasks/" + task + "#said";
    }
}
