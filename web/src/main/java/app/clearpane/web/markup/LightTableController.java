package app.clearpane.web.markup;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.compare.Compared;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.markup.EditMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.PlaceMark;
import app.clearpane.usecases.markup.RuleClash;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Side;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheTeam;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.ForOutsideMakers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.said.Attach;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The light table for the team. */
@TeamController
@ForOutsideMakers
class LightTableController {
    private final States states;
    private final Deliverables deliverables;
    private final Drawings drawings;
    private final Markups markups;
    private final PlaceMark placeMark;
    private final AnswerMark answerMark;
    private final EditMark editMark;
    private final RuleClash ruleClash;
    private final LiveMarks liveMarks;
    private final Clashes clashes;
    private final Compared compared;
    private final Writings writings;
    private final Attach attach;
    private final CallByName callByName;
    private final TheTeam team;
    private final TeamSight sight;

    LightTableController(
            States states,
            Deliverables deliverables,
            Drawings drawings,
            Markups markups,
            PlaceMark placeMark,
            AnswerMark answerMark,
            EditMark editMark,
            RuleClash ruleClash,
            LiveMarks liveMarks,
            Clashes clashes,
            Compared compared,
            Writings writings,
            Attach attach,
            CallByName callByName,
            TheTeam team,
            TeamSight sight) {
        this.sight = sight;
        this.attach = attach;
        this.callByName = callByName;
        this.team = team;
        this.ruleClash = ruleClash;
        this.liveMarks = liveMarks;
        this.clashes = clashes;
        this.compared = compared;
        this.writings = writings;
        this.states = states;
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.markups = markups;
        this.placeMark = placeMark;
        this.answerMark = answerMark;
        this.editMark = editMark;
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
        VersionRow found = NotThere.unless(state.versions().stream()
                .filter(one -> one.id().equals(version))
                .findFirst());
        Drawings.Drawing drawing = drawings.find(found.sha256()).orElseThrow();
        int shown = Math.max(1, Math.min(page, drawing.pages()));
        LightTable table = LightTable.of(
                "/t",
                state.deliverable().name(),
                found,
                state.versions(),
                shown,
                drawing,
                drawings.sheet(found.sha256(), shown),
                state.marks(),
                compared.across(state.versions()),
                writings.of(found),
                around(
                        state,
                        me,
                        note,
                        state.rounds().stream()
                                .filter(r -> r.version().equals(version))
                                .findFirst()),
                new Side.Team(me));
        model.addAttribute("sashOf", state.deliverable().project());
        model.addAttribute("table", table);
        model.addAttribute("state", state);
        model.addAttribute("clashes", clashes.of(found, state.deliverable().pane(), state.marks()));
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
        Spot.of(atX, atY, table).ifPresent(spot -> model.addAttribute("spot", spot));
        return "markup/light-table";
    }

    private LightTable.Around around(
            DeliverableState state, Person.OfTeam me, @Nullable MarkupId open, Optional<Round> round) {
        return LightTable.Around.ofTeam(
                callByName.waysOfTeam(state.marks()), mayHave(state), me.memberId(), state.marks(), open, round);
    }

    /**
     * The names of those of the team who may be given a mark, since they see the project, and of those who have one.
     */
    private Map<TeamMemberId, String> mayHave(DeliverableState state) {
        Set<TeamMemberId> have = state.marks().stream()
                .flatMap(mark -> Optional.ofNullable(mark.beside().doer()).stream())
                .collect(Collectors.toSet());
        Map<TeamMemberId, String> names = new LinkedHashMap<>();
        team.members().stream()
                .filter(member -> have.contains(member.id())
                        || sight.sees(member, state.deliverable().project()))
                .forEach(member -> names.put(member.id(), member.name()));
        return names;
    }

    private ProjectId projectOf(ItemId deliverable) {
        return NotThere.unless(deliverables.find(deliverable)).project();
    }

    @GetMapping("/t/versions/{version}/live")
    SseEmitter live(@PathVariable VersionId version, @AuthenticationPrincipal Person.OfTeam me) {
        return liveMarks.watchByTeam(
                NotThere.unless(deliverables.version(version)).deliverable(), me.actor());
    }

    @PostMapping("/t/versions/{version}/marks")
    String place(
            @PathVariable VersionId version,
            MarkForm form,
            @RequestParam(required = false) @Nullable UUID once,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        VersionRow found = NotThere.unless(deliverables.version(version));
        placeMark.once(
                Optional.ofNullable(once),
                found,
                form,
                attach.kept(projectOf(found.deliverable()), new Side.Team(me), files),
                new Side.Team(me));
        return "redirect:/t/versions/" + version + "/light-table?page=" + form.page();
    }

    @PostMapping("/t/versions/{version}/rulings")
    @ForManagers
    String rule(@PathVariable VersionId version, RuleClash.RulingForm form, @AuthenticationPrincipal Person.OfTeam me) {
        int page = ruleClash.rule(NotThere.unless(deliverables.version(version)), form, new Side.Team(me));
        return "redirect:/t/versions/" + version + "/light-table?page=" + page;
    }

    @PostMapping("/t/marks/{mark}/answers")
    String answer(
            @PathVariable MarkupId mark,
            AnswerMark.AnswerForm form,
            @RequestParam VersionId on,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        MarkupRow found = NotThere.unless(markups.find(mark));
        answerMark.answer(
                found,
                form,
                attach.kept(
                        projectOf(NotThere.unless(deliverables.version(found.version()))
                                .deliverable()),
                        new Side.Team(me),
                        files),
                new Side.Team(me));
        return "redirect:/t/versions/" + on + "/light-table?page="
                + found.place().page() + "#mark-" + mark;
    }

    @PostMapping("/t/marks/{mark}/edit")
    String edit(
            @PathVariable MarkupId mark,
            EditMark.EditForm form,
            @RequestParam VersionId on,
            @AuthenticationPrincipal Person.OfTeam me) {
        MarkupRow found = NotThere.unless(markups.find(mark));
        editMark.edit(found, form, new Side.Team(me));
        return "redirect:/t/versions/" + on + "/light-table?page="
                + found.place().page() + "#mark-" + mark;
    }
}
