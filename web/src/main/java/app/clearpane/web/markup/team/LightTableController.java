package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.WaysOfNames;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.markup.ChosenSpot;
import app.clearpane.web.markup.LayTable;
import app.clearpane.web.markup.LightTable;
import app.clearpane.web.markup.LiveMarks;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The light table for the team. */
@TeamController
@ForOutsideMakers
class LightTableController {
    private final States states;
    private final Deliverables deliverables;
    private final LiveMarks liveMarks;
    private final Clashes clashes;
    private final WaysOfNames waysOfNames;
    private final LayTable layTable;
    private final WhoMayHaveMark whoMayHave;

    LightTableController(
            States states,
            Deliverables deliverables,
            LiveMarks liveMarks,
            Clashes clashes,
            WaysOfNames waysOfNames,
            LayTable layTable,
            WhoMayHaveMark whoMayHave) {
        this.whoMayHave = whoMayHave;
        this.layTable = layTable;
        this.waysOfNames = waysOfNames;
        this.liveMarks = liveMarks;
        this.clashes = clashes;
        this.states = states;
        this.deliverables = deliverables;
    }

    @GetMapping("/t/versions/{version}/light-table")
    String look(
            @PathVariable VersionId version,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(name = "at.x", required = false) Integer atX,
            @RequestParam(name = "at.y", required = false) Integer atY,
            @RequestParam(required = false) @Nullable MarkupId note,
            @AuthenticationPrincipal Person.OfTeam me,
            Model model) {
        DeliverableState state = states.withThreads(version);
        Version found = NotFound.unless(state.versions().stream()
                .filter(one -> one.id().equals(version))
                .findFirst());
        LightTable table = layTable.lay(
                new LayTable.Work("/t", state.deliverable().name(), found, state.versions(), state.marks()),
                page,
                around(
                        state,
                        me,
                        note,
                        state.rounds().stream()
                                .filter(r -> r.version().equals(version))
                                .findFirst()),
                new Speaker.Team(me));
        model.addAttribute("sashOf", state.deliverable().project());
        model.addAttribute("table", table);
        model.addAttribute("state", state);
        model.addAttribute("clashes", clashes.openOn(found, state.deliverable().pane(), state.marks()));
        model.addAttribute("same", clashes.notJoined(found, state.deliverable().pane(), state.marks()));
        Optional<Round> round =
                state.rounds().stream().filter(r -> r.version().equals(version)).findFirst();
        Optional<String> leadVoice = round.flatMap(r -> r.signatories().stream()
                .filter(Round.Signatory::leadVoice)
                .map(Round.Signatory::name)
                .findFirst());
        model.addAttribute("leadVoice", leadVoice.orElse(null));
        model.addAttribute("mayRule", leadVoice.isEmpty() && me.role().mayPublish());
        model.addAttribute("round", round.orElse(null));
        ChosenSpot.of(atX, atY, table).ifPresent(spot -> model.addAttribute("spot", spot));
        return "markup/light-table";
    }

    private LightTable.Around around(
            DeliverableState state, Person.OfTeam me, @Nullable MarkupId open, Optional<Round> round) {
        return LightTable.Around.ofTeam(
                waysOfNames.waysOfTeam(state.marks()),
                whoMayHave.names(state),
                me.memberId(),
                state.marks(),
                open,
                round);
    }

    @GetMapping("/t/versions/{version}/live")
    SseEmitter live(@PathVariable VersionId version, @AuthenticationPrincipal Person.OfTeam me) {
        return liveMarks.watchByTeam(
                NotFound.unless(deliverables.version(version)).deliverable(), me.actor());
    }
}
