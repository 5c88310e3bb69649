package app.clearpane.web.deliverable;

import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Rule;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Project;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.deliverable.AddDeliverable;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.Readers;
import app.clearpane.usecases.deliverable.RecallVersion;
import app.clearpane.usecases.deliverable.SendVersion;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.deliverable.StoreVersion;
import app.clearpane.usecases.plan.DueForm;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.web.exposure.Windows;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.ForOutsideMakers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The deliverables of a project, and one with its versions. */
@TeamController
@ForOutsideMakers
class DeliverableController {
    private static final int LONGEST_LINE = 400;
    private final Reminders reminders;
    private final ProjectFrame frame;
    private final States states;
    private final Deliverables deliverables;
    private final Drawings drawings;
    private final SigningDefaults defaults;
    private final Seats seats;
    private final Windows windows;
    private final Readers readers;
    private final AddDeliverable addDeliverable;
    private final StoreVersion storeVersion;
    private final SendVersion sendVersion;
    private final RecallVersion recallVersion;
    private final WatchDrawing watchDrawing;
    private final SheetBytes bytes;

    DeliverableController(
            ProjectFrame frame,
            States states,
            Deliverables deliverables,
            Drawings drawings,
            SigningDefaults defaults,
            Seats seats,
            Windows windows,
            Readers readers,
            AddDeliverable addDeliverable,
            StoreVersion storeVersion,
            SendVersion sendVersion,
            RecallVersion recallVersion,
            WatchDrawing watchDrawing,
            SheetBytes bytes,
            Reminders reminders) {
        this.reminders = reminders;
        this.frame = frame;
        this.states = states;
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.defaults = defaults;
        this.seats = seats;
        this.windows = windows;
        this.readers = readers;
        this.addDeliverable = addDeliverable;
        this.storeVersion = storeVersion;
        this.sendVersion = sendVersion;
        this.recallVersion = recallVersion;
        this.watchDrawing = watchDrawing;
        this.bytes = bytes;
    }

    record DeliverableForm(String name, String about, String pane, String rule, String reviewDays) {
        AddDeliverable.Wanted wanted() {
            Input input = new Input();
            Optional<Name> named = input.name("The deliverable", name);
            String line = input.text("The line about it", about, LONGEST_LINE);
            Optional<Integer> days = input.number("The days to review it", reviewDays, 1, 250);
            input.require(!pane.isEmpty(), "Choose the pane that decides on it.");
            Optional<PaneId> decides =
                    pane.isEmpty() ? Optional.empty() : input.one("The pane that decides", pane, PaneId::of);
            input.allGood();
            return new AddDeliverable.Wanted(
                    named.orElseThrow(),
                    line,
                    decides.orElseThrow(),
                    rule.equals("ANY") ? new Rule.Any() : rule.equals("IN_ORDER") ? new Rule.InOrder() : new Rule.All(),
                    days.orElseThrow());
        }
    }

    @GetMapping("/t/projects/{project}/deliverables")
    String all(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deliverables");
        model.addAttribute("states", states.of(project));
        Windows.All seen = windows.all(project);
        model.addAttribute("windows", seen.windows());
        model.addAttribute("panes", seen.panes());
        model.addAttribute("usual", defaults.of(project));
        return "deliverable/list";
    }

    @PostMapping("/t/projects/{project}/deliverables")
    @ForManagers
    String add(@PathVariable ProjectId project, DeliverableForm form, @AuthenticationPrincipal Person me) {
        return "redirect:/t/deliverables/" + addDeliverable.add(project, form.wanted(), me.actor());
    }

    @GetMapping("/t/deliverables/{deliverable}")
    String one(@PathVariable ItemId deliverable, Model model) {
        DeliverableState state = states.inBrief(deliverable);
        Project project = frame.above(model, state.deliverable().project(), "Deliverables");
        model.addAttribute("state", state);
        List<SeatRow> seated = seats.of(state.deliverable().pane());
        model.addAttribute("signing", Readers.signing(state.deliverable(), seated));
        model.addAttribute("reminded", reminders.latest(deliverable.value()));
        state.draft().ifPresent(draft -> {
            model.addAttribute("audience", readers.of(state.deliverable(), state.rounds(), seated));
            model.addAttribute("costs", sendVersion.costs(state).orElse(null));
            model.addAttribute("begin", sendVersion.begins(project));
            model.addAttribute("by", Due.NONE);
        });
        state.newest().ifPresent(version -> {
            model.addAttribute("drawing", drawings.find(version.sha256()).orElseThrow());
            model.addAttribute("sheets", drawings.sheets(version.sha256(), WatchDrawing.SHOWN));
            model.addAttribute("version", version);
        });
        return "deliverable/one";
    }

    @PostMapping("/t/deliverables/{deliverable}/versions")
    String upload(
            @PathVariable ItemId deliverable,
            @RequestParam MultipartFile file,
            @RequestParam String whatChanged,
            @AuthenticationPrincipal Person me)
            throws IOException {
        Input input = new Input();
        String line = input.text("What changed", whatChanged, LONGEST_LINE);
        input.require(
                !file.isEmpty()
                        || file.getOriginalFilename() != null
                                && !file.getOriginalFilename().isEmpty(),
                "Choose a file first.");
        input.allGood();
        storeVersion.store(
                deliverable,
                new StoreVersion.Arriving(
                        Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getInputStream(), line),
                me.actor());
        return "redirect:/t/deliverables/" + deliverable;
    }

    @GetMapping("/t/versions/{version}/progress")
    SseEmitter progress(@PathVariable VersionId version) {
        return watchDrawing.of(NotThere.unless(deliverables.version(version)));
    }

    @PostMapping("/t/versions/{version}/send")
    @ForManagers
    String send(@PathVariable VersionId version, DueForm due, @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Due by = due.read(input);
        input.allGood();
        sendVersion.send(version, by, me.actor());
        return "redirect:/t/deliverables/"
                + deliverables.version(version).map(VersionRow::deliverable).orElseThrow();
    }

    @PostMapping("/t/versions/{version}/recall")
    @ForManagers
    String recall(@PathVariable VersionId version, @RequestParam String reason, @AuthenticationPrincipal Person me) {
        return "redirect:/t/deliverables/"
                + recallVersion.recall(version, reason, me.actor()).id();
    }

    @GetMapping("/t/versions/{version}/played")
    ResponseEntity<Resource> played(@PathVariable VersionId version) {
        return bytes.played(NotThere.unless(deliverables.version(version)));
    }

    @GetMapping("/t/versions/{version}/sheets/{page}/{size}")
    ResponseEntity<Resource> sheet(
            @PathVariable VersionId version, @PathVariable int page, @PathVariable SheetBytes.Size size) {
        return bytes.sheet(NotThere.unless(deliverables.version(version)).sha256(), page, size);
    }

    @GetMapping("/t/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}")
    ResponseEntity<Resource> tile(@PathVariable VersionId version, @PathVariable int page, SheetBytes.Square square)
            throws IOException {
        return bytes.tile(NotThere.unless(deliverables.version(version)).sha256(), page, square);
    }

    @GetMapping("/t/versions/{version}/file")
    ResponseEntity<Resource> file(@PathVariable VersionId version) {
        VersionRow found = NotThere.unless(deliverables.version(version));
        return bytes.download(found.sha256(), found.fileName());
    }
}
