package app.clearpane.web.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.compare.Compared;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.markup.EditMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.PlaceMark;
import app.clearpane.usecases.markup.RuleClash;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.compare.FrameChanges;
import app.clearpane.web.exposure.client.Looks;
import app.clearpane.web.said.Attach;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The light table as a viewer sees it, and what they do on it. */
@Component
public class ClientTable {
    private final Looks looks;
    private final Lasting lasting;
    private final VisibleDeliverables deliverables;
    private final VisibleMarkups markups;
    private final Deliverables terms;
    private final Clock clock;
    private final SigningFor signing;
    private final Viewers viewers;
    private final Drawings drawings;
    private final PlaceMark placeMark;
    private final AnswerMark answerMark;
    private final EditMark editMark;
    private final RuleClash ruleClash;
    private final LiveMarks liveMarks;
    private final Clashes clashes;
    private final Compared compared;
    private final Writings writings;
    private final LayChanges layChanges;
    private final FrameChanges frames;
    private final Attach attach;
    private final CallByName callByName;

    ClientTable(
            Lasting lasting,
            VisibleDeliverables deliverables,
            VisibleMarkups markups,
            Deliverables terms,
            Clock clock,
            SigningFor signing,
            Viewers viewers,
            Drawings drawings,
            PlaceMark placeMark,
            AnswerMark answerMark,
            EditMark editMark,
            RuleClash ruleClash,
            LiveMarks liveMarks,
            Clashes clashes,
            Compared compared,
            Writings writings,
            LayChanges layChanges,
            Looks looks,
            FrameChanges frames,
            Attach attach,
            CallByName callByName) {
        this.frames = frames;
        this.attach = attach;
        this.callByName = callByName;
        this.layChanges = layChanges;
        this.ruleClash = ruleClash;
        this.liveMarks = liveMarks;
        this.clashes = clashes;
        this.compared = compared;
        this.writings = writings;
        this.looks = looks;
        this.lasting = lasting;
        this.deliverables = deliverables;
        this.markups = markups;
        this.terms = terms;
        this.clock = clock;
        this.signing = signing;
        this.viewers = viewers;
        this.drawings = drawings;
        this.placeMark = placeMark;
        this.answerMark = answerMark;
        this.editMark = editMark;
    }

    /**
     * What stands in the decision bar.
     *
     * @param asked whether this viewer is asked to sign
     * @param mine what they said; empty if nothing yet
     * @param unsettled Change marks open or taken on: while there are any, nobody can sign
     * @param clashes how many nobody ruled on yet: while there are any, nobody can sign
     * @param fixed marks that their sign-off would confirm, by label
     * @param current whether this version is the newest they see
     * @param insteadOf the signatory for whom they decide, standing in; empty if they decide for themselves
     * @param whoSigns as a sentence without its end; empty unless their own pane decides
     * @param next who signs before them, in order; empty if nobody does
     * @param signingCosts what a round beyond those included costs, if it was not accepted yet
     * @param sendingBackCosts the same for the round that sending back begins
     * @param asking who else asks for a change that nobody can sign with; empty where only the viewer does
     * @param signer whose decision they would make
     * @param takeBackUntil until when they can take back what they said
     */
    public record Bar(
            Optional<Round> round,
            boolean asked,
            Optional<Round.Said> mine,
            int unsettled,
            int clashes,
            List<String> fixed,
            boolean current,
            boolean leadVoice,
            Optional<String> insteadOf,
            String whoSigns,
            Optional<String> next,
            Optional<String> signingCosts,
            Optional<String> sendingBackCosts,
            List<String> asking,
            ContactId signer,
            Optional<Instant> takeBackUntil) {
        /** Whether they are asked in a round that is open, now or once others have decided. */
        public boolean mayDecide() {
            return asked && current && round.filter(Round::open).isPresent();
        }

        /** Whether their decision is waited for now. */
        public boolean awaited() {
            return current
                    && round.filter(one -> one.askedNow().contains(signer)).isPresent();
        }

        /** Whether they may sign now. */
        public boolean maySign() {
            return mayDecide() && unsettled == 0 && clashes == 0 && next.isEmpty();
        }

        /** Whether they may close the round with what was said so far. */
        public boolean mayClose() {
            return leadVoice && mayDecide() && mine.isPresent();
        }
    }

    /** The table's page. @throws NotFound if they do not see the version */
    public Map<String, Object> page(
            Viewer viewer,
            String base,
            VersionId id,
            int page,
            @Nullable Integer atX,
            @Nullable Integer atY,
            @Nullable MarkupId note) {
        List<Version> all = deliverables.versions(viewer);
        Version version =
                all.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow(() -> recalled(viewer, id));
        VisibleDeliverables.Row deliverable = NotFound.unless(deliverables.find(viewer, version.deliverable()));
        looks.opened(viewer, deliverable.id());
        List<Version> versions = all.stream()
                .filter(one -> one.deliverable().equals(version.deliverable()))
                .toList();
        Drawings.Drawing drawing = drawings.find(version.sha256()).orElseThrow();
        int shown = Math.max(1, Math.min(page, drawing.pages()));
        List<Mark> marks = markups.marksOf(viewer, version.deliverable());
        Optional<Round> reviewed = deliverables.round(viewer, version.id());
        LightTable table = LightTable.of(
                base,
                deliverable.name(),
                version,
                versions,
                shown,
                drawing,
                drawings.sheet(version.sha256(), shown),
                marks,
                compared.across(versions),
                writings.writingOf(version),
                LightTable.Around.ofViewer(callByName.ways(viewer, base, marks, all), marks, note, reviewed),
                new Speaker.Client(viewer));
        List<Clashes.Open> open = reviewed.filter(own -> deliverable.own())
                .map(own -> Clashes.waiting(own, marks))
                .orElseGet(() -> clashes.openOn(version, viewer.pane(), marks));
        Bar bar = bar(viewer, version, versions, marks, reviewed, open.size());
        Map<String, Object> model = new HashMap<>(Map.of(
                "table",
                table,
                "bar",
                bar,
                "clashes",
                open,
                "mayRule",
                viewer.leadVoice() && viewer.mayAct(),
                "viewer",
                viewer,
                "heading",
                viewers.heading(viewer),
                "deliverable",
                deliverable));
        bar.round()
                .flatMap(round -> round.signatories().stream()
                        .filter(Round.Signatory::leadVoice)
                        .findFirst())
                .ifPresent(seat -> model.put("leadVoice", seat.name()));
        ChosenSpot.of(atX, atY, table).ifPresent(spot -> model.put("spot", spot));
        return model;
    }

    /** Why a version cannot be looked at that they were sent to. */
    private RuntimeException recalled(Viewer viewer, VersionId id) {
        return deliverables
                .recalled(viewer, id)
                .<RuntimeException>map(one -> Refused.because(one.name() + ", " + one.called()
                        + ", was sent by mistake and recalled on " + lasting.dayOf(one.at()) + ": “" + one.reason()
                        + "”. There is nothing for you to do; another version follows."))
                .orElseGet(NotFound::new);
    }

    private Bar bar(
            Viewer viewer,
            Version version,
            List<Version> versions,
            List<Mark> marks,
            Optional<Round> round,
            int clashes) {
        ContactId signer = round.map(r -> signing.signer(viewer, r)).orElse(viewer.contact());
        boolean asked = viewer.rest().isEmpty()
                && round.filter(r -> r.signatories().stream()
                                .anyMatch(s -> s.contact().equals(signer)))
                        .isPresent();
        boolean completes = asked
                && round.orElseThrow()
                        .panel()
                        .completedBy(signer, round.orElseThrow().decisions());
        Set<ContactId> both = new HashSet<>(List.of(viewer.contact(), signer));
        List<String> fixed = marks.stream()
                .filter(m -> m.told().confirmedBySigning(m.isOf(both), completes))
                .map(m -> m.label().toString())
                .toList();
        boolean current = versions.get(versions.size() - 1).id().equals(version.id());
        Optional<Deliverable> own = round.isEmpty()
                ? Optional.empty()
                : terms.find(version.deliverable())
                        .filter(deliverable -> deliverable.pane().equals(viewer.pane()));
        int number = round.map(Round::number).orElse(0);
        return new Bar(
                round,
                asked,
                round.flatMap(r -> r.saidBy(signer)),
                CountMarks.forClients(marks, viewer.pane(), round.stream().toList())
                        .blocking(),
                clashes,
                fixed,
                current,
                viewer.leadVoice(),
                round.filter(Round::open)
                        .flatMap(r -> signing.other(viewer, r))
                        .filter(s -> asked)
                        .map(Round.Signatory::name),
                own.isEmpty() ? "" : round.map(Round::whoSigns).orElse(""),
                round.flatMap(r -> r.panel()
                        .nextInOrder(r.decisions())
                        .filter(contact -> asked && !r.panel().isPlaceOf(signer, r.decisions()))
                        .flatMap(contact -> r.signatories().stream()
                                .filter(s -> s.contact().equals(contact))
                                .map(Round.Signatory::name)
                                .findFirst())),
                costs(own.filter(deliverable -> asked), number),
                costs(own.filter(deliverable -> asked), number + 1),
                marks.stream()
                        .filter(mark -> mark.blocksSigning() && !mark.isOf(both))
                        .map(mark -> mark.author().name())
                        .distinct()
                        .toList(),
                signer,
                !viewer.mayAct()
                        ? Optional.empty()
                        : round.flatMap(r -> r.mayTakeBackUntil(viewer.contact(), clock.instant())
                                .filter(until -> !isBuiltOn(version, r, viewer.contact()))));
    }

    /** Whether we have gone on from what somebody decided, so that it cannot be taken back. */
    private boolean isBuiltOn(Version version, Round round, ContactId contact) {
        return TakingBack.isBuiltOn(
                round.madeBy(contact).orElseThrow().at(),
                round.open(),
                terms.isReleased(version.id()),
                terms.versions(version.deliverable()).stream()
                        .map(Version::createdAt)
                        .toList());
    }

    private static Optional<String> costs(Optional<Deliverable> deliverable, int upTo) {
        return deliverable.flatMap(terms -> Optional.of(terms.toAccept(upTo))
                .filter(extra -> !extra.isEmpty())
                .map(terms.allowance()::inWords));
    }

    /** What changed since an earlier version. @throws NotFound if they do not see both */
    public Map<String, Object> changes(Viewer viewer, String base, VersionId id, LayChanges.Wish wish) {
        Version version = NotFound.unless(deliverables.version(viewer, id));
        VisibleDeliverables.Row deliverable = NotFound.unless(deliverables.find(viewer, version.deliverable()));
        looks.opened(viewer, deliverable.id());
        List<Version> versions = deliverables.versions(viewer).stream()
                .filter(one -> one.deliverable().equals(version.deliverable()))
                .toList();
        ChangesView changes = layChanges.lay(
                base,
                false,
                deliverable.name(),
                version,
                versions,
                markups.marksOf(viewer, version.deliverable()),
                wish);
        return Map.of("changes", changes, "viewer", viewer, "heading", viewers.heading(viewer));
    }

    /**
     * What differs between two pictures of films that they look at side by side. @throws NotFound if they do not see
     * the version
     */
    public FrameChanges.Found frames(Viewer viewer, VersionId version, MultipartFile before, MultipartFile after)
            throws IOException {
        NotFound.unless(deliverables.version(viewer, version));
        return frames.compare(before, after);
    }

    /**
     * Places a mark. @param once the identifier that the page made for it @param files that come with its note @throws
     * IOException if one cannot be written
     */
    public MarkupId place(
            Viewer viewer, VersionId version, Optional<UUID> once, MarkForm form, @Nullable List<MultipartFile> files)
            throws IOException {
        Version found = NotFound.unless(deliverables.version(viewer, version));
        Speaker side = new Speaker.Client(viewer);
        return placeMark
                .once(once, found, form, attach.kept(viewer.project(), side, files), side)
                .id();
    }

    /** Notes who placed a mark, where that was a guest. @param opening by which they came */
    public void placedBy(MarkupId mark, UUID opening) {
        placeMark.noteOpening(mark, opening);
    }

    /** Watches what others do on a version. */
    public SseEmitter live(Viewer viewer, VersionId version) {
        return liveMarks.watch(
                NotFound.unless(deliverables.version(viewer, version)).deliverable(),
                viewer.actor(),
                () -> viewers.again(viewer, clock.instant())
                        .flatMap(now -> deliverables.version(now, version))
                        .isPresent());
    }

    /** Settles a clash. @return the page it was about */
    public int rule(Viewer viewer, VersionId version, RuleClash.RulingForm form) {
        return ruleClash.rule(NotFound.unless(deliverables.version(viewer, version)), form, new Speaker.Client(viewer));
    }

    /**
     * Answers a mark. @param files that come with the answer @return the page it stands on @throws IOException if one
     * cannot be written
     */
    public int answer(Viewer viewer, MarkupId mark, AnswerMark.AnswerForm form, @Nullable List<MultipartFile> files)
            throws IOException {
        Mark found = NotFound.unless(markups.find(viewer, mark));
        Speaker side = new Speaker.Client(viewer);
        answerMark.answer(found, form, attach.kept(viewer.project(), side, files), side);
        return found.place().page();
    }

    /** ChangesView what a mark says. @return the page it stands on */
    public int edit(Viewer viewer, MarkupId mark, EditMark.EditForm form) {
        Mark found = NotFound.unless(markups.find(viewer, mark));
        editMark.edit(found, form, new Speaker.Client(viewer));
        return found.place().page();
    }
}
