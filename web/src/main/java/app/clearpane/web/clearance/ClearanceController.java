package app.clearpane.web.clearance;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.clearance.ClearanceOf;
import app.clearpane.usecases.clearance.Conditions;
import app.clearpane.usecases.clearance.MakeBundle;
import app.clearpane.usecases.clearance.Recipients;
import app.clearpane.usecases.clearance.ReleaseVersion;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.Windows;
import app.clearpane.web.layout.AsksAgain;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.ForOwners;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The clearance sheet of a deliverable and the board of a project, and releasing. */
@TeamController
class ClearanceController {
    private final ProjectFrame frame;
    private final States states;
    private final ClearanceOf clearance;
    private final Windows windows;
    private final Conditions conditions;
    private final ReleaseVersion releaseVersion;
    private final Recipients recipients;
    private final Releases releases;
    private final Seats seats;
    private final SheetBytes bytes;

    ClearanceController(
            ProjectFrame frame,
            States states,
            ClearanceOf clearance,
            Conditions conditions,
            ReleaseVersion releaseVersion,
            Recipients recipients,
            Releases releases,
            Seats seats,
            SheetBytes bytes,
            Windows windows) {
        this.windows = windows;
        this.frame = frame;
        this.states = states;
        this.clearance = clearance;
        this.conditions = conditions;
        this.releaseVersion = releaseVersion;
        this.recipients = recipients;
        this.releases = releases;
        this.seats = seats;
        this.bytes = bytes;
    }

    @GetMapping("/t/deliverables/{deliverable}/clearance")
    String sheet(@PathVariable ItemId deliverable, Model model) {
        DeliverableState state = states.of(deliverable);
        frame.above(model, state.deliverable().project(), "Deliverables");
        ClearanceOf.Sheet sheet = clearance.of(state);
        model.addAttribute("state", state);
        model.addAttribute("sheet", sheet);
        model.addAttribute("clearance", sheet.clearance());
        model.addAttribute("released", state.releases());
        model.addAttribute("recipients", releases.recipients(deliverable));
        model.addAttribute("known", seats.ofProjects(List.of(state.deliverable().project())));
        return "clearance/sheet";
    }

    @GetMapping("/t/projects/{project}/clearance")
    String board(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deliverables");
        List<ClearanceOf.Sheet> sheets = clearance.of(states.withoutThumbnails(project));
        model.addAttribute("sheets", sheets);
        model.addAttribute(
                "windows",
                windows.across(sheets.stream()
                        .map(sheet -> sheet.state().deliverable().id())
                        .toList()));
        if (!model.containsAttribute("left")) {
            model.addAttribute("left", List.of());
        }
        return "clearance/board";
    }

    /** Releases several; what cannot be released is left out and said. */
    @AsksAgain
    @PostMapping("/t/projects/{project}/releases")
    @ForManagers
    String releaseMany(
            @PathVariable ProjectId project,
            @RequestParam(required = false) List<ItemId> deliverable,
            @AuthenticationPrincipal Person me,
            org.springframework.web.servlet.mvc.support.RedirectAttributes redirect) {
        List<String> left = new ArrayList<>();
        for (ItemId one : deliverable == null ? List.<ItemId>of() : deliverable) {
            String name = states.inBrief(one).deliverable().name();
            try {
                releaseVersion.release(one, me.actor());
            } catch (Refused refused) {
                left.add(name + ": " + String.join(" ", refused.sentences()));
            }
        }
        redirect.addFlashAttribute("left", left);
        return "redirect:/t/projects/" + project + "/clearance";
    }

    @AsksAgain
    @PostMapping("/t/deliverables/{deliverable}/release")
    @ForManagers
    String release(@PathVariable ItemId deliverable, @AuthenticationPrincipal Person me) {
        releaseVersion.release(deliverable, me.actor());
        return back(deliverable);
    }

    @PostMapping("/t/releases/{release}/recall")
    @ForManagers
    String recall(
            @PathVariable UUID release,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        return back(releaseVersion.recall(release, reason, me.actor()));
    }

    @AsksAgain
    @PostMapping("/t/releases/{release}/recipients")
    @ForManagers
    String hand(
            @PathVariable UUID release,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String email,
            @AuthenticationPrincipal Person me) {
        return back(recipients.add(release, name, email, me.actor()));
    }

    @PostMapping("/t/deliverables/{deliverable}/checklist/{line}")
    String tick(
            @PathVariable ItemId deliverable,
            @PathVariable UUID line,
            @RequestParam(defaultValue = "false") boolean ticked,
            @AuthenticationPrincipal Person me) {
        conditions.tick(deliverable, line, ticked, me.actor());
        return back(deliverable);
    }

    @PostMapping("/t/deliverables/{deliverable}/checklist")
    @ForManagers
    String lines(
            @PathVariable ItemId deliverable,
            @RequestParam(defaultValue = "") String lines,
            @AuthenticationPrincipal Person me) {
        conditions.lines(deliverable, lines, me.actor());
        return back(deliverable);
    }

    @PostMapping("/t/deliverables/{deliverable}/waivers")
    @ForOwners
    String waive(
            @PathVariable ItemId deliverable,
            @RequestParam Condition condition,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        conditions.waive(deliverable, condition, reason, me.actor());
        return back(deliverable);
    }

    private static String back(ItemId deliverable) {
        return "redirect:/t/deliverables/" + deliverable + "/clearance";
    }

    @GetMapping("/t/releases/{release}/bundle")
    ResponseEntity<Resource> bundle(@PathVariable UUID release) {
        Releases.Release found = NotThere.unless(releases.find(release));
        DeliverableState state = states.of(found.deliverable());
        VersionRow version = state.versions().stream()
                .filter(v -> v.id().equals(found.version()))
                .findFirst()
                .orElseThrow();
        return bytes.download(
                NotThere.unless(Optional.ofNullable(found.bundle())), MakeBundle.folder(state, version) + ".zip");
    }
}
