package app.clearpane.web.signoff.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.signoff.CloseRound;
import app.clearpane.usecases.signoff.DecideOnVersion;
import app.clearpane.usecases.signoff.DecisionForm;
import app.clearpane.usecases.signoff.SayAway;
import app.clearpane.usecases.signoff.SetStandIn;
import app.clearpane.usecases.signoff.TakeBackDecision;
import app.clearpane.web.exposure.client.Through;
import app.clearpane.web.signoff.SignSeveral;
import app.clearpane.web.signoff.ToSign;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A client's decisions: one by one, or all that awaits their signature on one sheet. */
@Controller
class DecisionController {
    private final DecideOnVersion decideOnVersion;
    private final TakeBackDecision takeBack;
    private final CloseRound closeRound;
    private final ToSign toSign;
    private final SayAway sayAway;
    private final SignSeveral signSeveral;

    DecisionController(
            DecideOnVersion decideOnVersion,
            TakeBackDecision takeBack,
            CloseRound closeRound,
            ToSign toSign,
            SayAway sayAway,
            SignSeveral signSeveral) {
        this.signSeveral = signSeveral;
        this.sayAway = sayAway;
        this.decideOnVersion = decideOnVersion;
        this.takeBack = takeBack;
        this.closeRound = closeRound;
        this.toSign = toSign;
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/decisions")
    String decide(Viewer viewer, @PathVariable VersionId version, DecisionForm form) {
        decideOnVersion.decide(viewer, version, form);
        return "redirect:" + Through.base(viewer) + "?decided=" + version;
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/take-back")
    String takeBack(Viewer viewer, @PathVariable VersionId version) {
        takeBack.takeBack(viewer, version);
        return "redirect:" + Through.base(viewer) + "/versions/" + version;
    }

    @GetMapping({"/c/panes/{pane}/to-sign", "/t/look/{seat}/{sight}/to-sign"})
    String toSign(Viewer viewer, Model model) {
        model.addAllAttributes(toSign.page(viewer, Through.base(viewer)));
        return "signoff/client/to-sign";
    }

    /**
     * Signs several at once, or sends them back with one sentence. @param pick each the version and the digest the page
     * showed, as {@code version:digest}
     */
    @PostMapping("/c/panes/{pane}/to-sign")
    String signMany(
            Viewer viewer,
            @RequestParam(required = false) @Nullable List<String> pick,
            @RequestParam(defaultValue = "SIGN_OFF") String decision,
            @RequestParam(defaultValue = "") String typedName,
            @RequestParam(defaultValue = "") String sentence,
            @RequestParam(required = false) @Nullable Boolean acceptExtra,
            @RequestParam(required = false) @Nullable String drawn,
            @RequestParam(defaultValue = "false") boolean sure,
            Model model) {
        List<DecideOnVersion.Pick> picks = new ArrayList<>();
        Input input = new Input();
        input.require(
                SignSeveral.IN_BULK.stream().anyMatch(one -> one.name().equals(decision)),
                "Several are signed, or sent back.");
        input.allGood();
        Decision wanted = Decision.valueOf(decision);
        for (String one : pick == null ? List.<String>of() : pick) {
            String[] parts = one.split(":", 2);
            if (parts.length == 2 && parts[1].matches("[0-9a-f]{64}")) {
                input.one("What is ticked", parts[0], VersionId::of)
                        .ifPresent(version -> picks.add(new DecideOnVersion.Pick(
                                version,
                                toSign.name(viewer, version),
                                new DecisionForm(
                                        wanted,
                                        new Sha256(parts[1]),
                                        wanted == Decision.SEND_BACK ? sentence : "",
                                        typedName,
                                        acceptExtra,
                                        drawn,
                                        sure))));
            }
        }
        input.allGood();
        DecideOnVersion.Many many = signSeveral.decide(viewer, picks, wanted, typedName, sure);
        model.addAllAttributes(toSign.page(viewer, Through.base(viewer)));
        model.addAttribute("many", many);
        return "signoff/client/to-sign";
    }

    @GetMapping({"/c/panes/{pane}/away", "/t/look/{seat}/{sight}/away"})
    String away(Viewer viewer, Model model) {
        model.addAllAttributes(sayAway.page(viewer, Through.base(viewer)));
        return "signoff/client/away";
    }

    @PostMapping("/c/panes/{pane}/away")
    String sayAway(Viewer viewer, SetStandIn.AwayForm form) {
        sayAway.add(viewer, form);
        return "redirect:" + Through.base(viewer) + "/away";
    }

    @PostMapping("/c/panes/{pane}/away/{standIn}/end")
    String backAgain(Viewer viewer, @PathVariable UUID standIn) {
        sayAway.end(viewer, standIn);
        return "redirect:" + Through.base(viewer) + "/away";
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/close-round")
    String close(Viewer viewer, @PathVariable VersionId version) {
        closeRound.byLeadVoice(viewer, version);
        return "redirect:" + Through.base(viewer);
    }
}
