package app.clearpane.web.clearance.team;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.usecases.clearance.Conditions;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is ticked and waived before a release. */
@TeamController
class ChecklistController {
    private final Conditions conditions;

    ChecklistController(Conditions conditions) {
        this.conditions = conditions;
    }

    @PostMapping("/t/deliverables/{deliverable}/checklist/{line}")
    String tick(
            @PathVariable ItemId deliverable,
            @PathVariable UUID line,
            @RequestParam(defaultValue = "false") boolean ticked,
            @AuthenticationPrincipal Person me) {
        conditions.tick(deliverable, line, ticked, me.actor());
        return ClearanceController.back(deliverable);
    }

    @PostMapping("/t/deliverables/{deliverable}/checklist")
    @ForManagers
    String lines(
            @PathVariable ItemId deliverable,
            @RequestParam(defaultValue = "") String lines,
            @AuthenticationPrincipal Person me) {
        conditions.lines(deliverable, lines, me.actor());
        return ClearanceController.back(deliverable);
    }

    @PostMapping("/t/deliverables/{deliverable}/waivers")
    @ForOwners
    String waive(
            @PathVariable ItemId deliverable,
            @RequestParam Condition condition,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        conditions.waive(deliverable, condition, reason, me.actor());
        return ClearanceController.back(deliverable);
    }
}
