package app.clearpane.usecases.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.formats.markup.BroughtMark;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings along notes that somebody made elsewhere, in their own PDF reader or as Web Annotations (M3): first it shows
 * what is new, then it adds that. Bringing a file twice adds nothing.
 */
@Component
public class BringMarks {
    private static final int LONGEST_NOTE = MarkForm.LONGEST_NOTE;
    private final Deliverables deliverables;
    private final Markups markups;
    private final Lasting lasting;
    private final Clock clock;
    private final NoteMarkChange change;
    private final ReadBroughtMarks read;
    private final TakeInFile takeIn;

    BringMarks(
            Deliverables deliverables,
            Markups markups,
            Lasting lasting,
            Clock clock,
            NoteMarkChange change,
            ReadBroughtMarks read,
            TakeInFile takeIn) {
        this.takeIn = takeIn;
        this.read = read;
        this.change = change;
        this.deliverables = deliverables;
        this.markups = markups;
        this.lasting = lasting;
        this.clock = clock;
    }

    /**
     * What a file would bring.
     *
     * @param file its digest
     * @param fresh what is new
     * @param known how many notes are there already
     * @param skipped what could not be read, each with the reason
     * @param doubt why it seems to be another document; empty if it does not
     * @param seats who could have written them
     */
    public record Preview(
            Version version,
            Sha256 file,
            List<BroughtMark> fresh,
            int known,
            List<String> skipped,
            Optional<String> doubt,
            List<SeatRow> seats) {
        /** The seat of whoever is named in the file; empty if that is not clear. */
        public Optional<ContactId> likely() {
            List<ContactId> named = seats.stream()
                    .filter(seat ->
                            fresh.stream().anyMatch(mark -> mark.author().equalsIgnoreCase(seat.name())))
                    .map(SeatRow::contact)
                    .toList();
            return named.size() == 1 ? Optional.of(named.get(0)) : Optional.empty();
        }
    }

    /** Keeps a file for looking at. @throws IOException if it cannot be kept */
    public Sha256 keep(VersionId id, InputStream content, Actor by) throws IOException {
        Version version = NotFound.unless(deliverables.version(id));
        ProjectId project =
                deliverables.find(version.deliverable()).orElseThrow().project();
        return takeIn.take(project, by, content).sha256();
    }

    /** What a kept file would bring. @throws Refused if it has no notes to read */
    public Preview preview(VersionId id, Sha256 file) throws IOException {
        return read.preview(id, file);
    }

    /**
     * What to add.
     *
     * @param by whose notes they are
     * @param insist "yes" to add them although the file seems to be another document
     */
    public record BringForm(
            @Nullable Sha256 file,
            @Nullable ContactId by,
            @Nullable String insist) {}

    /**
     * Adds what is new. @throws Refused if it is another document and nobody insists, or nobody is said to have written
     * them
     */
    @Transactional
    public void add(VersionId id, BringForm form, Actor broughtBy) throws IOException {
        if (form.file() == null) {
            throw Refused.because("Choose the file again: it was not kept.");
        }
        Preview preview = preview(id, form.file());
        if (preview.doubt().isPresent() && !"yes".equals(form.insist())) {
            throw Refused.because(
                    "This seems to be another document: " + preview.doubt().get()
                            + ". Nothing was added; say that it is the same one all the same, if it is.");
        }
        SeatRow author = preview.seats().stream()
                .filter(seat -> seat.contact().equals(form.by()))
                .findFirst()
                .orElseThrow(() -> Refused.because("Say whose notes these are."));
        Deliverable deliverable =
                deliverables.find(preview.version().deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        for (BroughtMark mark : preview.fresh()) {
            add(mark, preview.version(), deliverable, saidToBeBy(broughtBy, author.name()), broughtBy);
        }
        change.note(
                deliverable,
                new MarkActs.MarksBrought(
                        broughtBy,
                        deliverable.name(),
                        preview.fresh().size(),
                        author.name(),
                        form.file(),
                        preview.version().sha256()),
                preview.version().draft());
    }

    /** Nobody can prove who wrote what stands in a file: it is by whoever brought it. */
    private static Actor saidToBeBy(Actor broughtBy, String said) {
        return broughtBy.named(broughtBy.name() + ", said to be by " + said);
    }

    private void add(BroughtMark mark, Version version, Deliverable deliverable, Actor author, Actor broughtBy) {
        boolean draft = version.draft();
        String note = shortened(mark.note());
        MarkupId id = new MarkupId(UUID.randomUUID());
        markups.bring(
                Mark.placed(
                        id,
                        version.id(),
                        deliverable.pane(),
                        markups.nextLabel(version, deliverable.pane(), draft),
                        mark.place(),
                        new Mark.Wish(mark.intent(), note, mark.replacement()),
                        author,
                        clock.instant(),
                        Mark.Beside.NOTHING),
                mark.origin());
        mark.thread()
                .replies()
                .forEach(reply -> markups.answer(
                        id,
                        Mark.Answer.said(
                                shortened(reply.said()),
                                draft,
                                said(broughtBy, reply.author(), reply.at()),
                                clock.instant())));
        mark.thread()
                .state()
                .ifPresent(state -> markups.answer(
                        id,
                        Mark.Answer.said(
                                "“" + state.state() + "”, it says in the file.",
                                draft,
                                said(broughtBy, state.by(), state.at()),
                                clock.instant())));
    }

    /** Whoever brought something, said to be by somebody on a day; a file proves neither. */
    private Actor said(Actor broughtBy, String name, Optional<Instant> at) {
        return saidToBeBy(
                broughtBy,
                (name.isBlank() ? "somebody" : name)
                        + at.map(instant -> ", " + lasting.dayOf(instant)).orElse(""));
    }

    private static String shortened(String words) {
        return words.length() <= LONGEST_NOTE
                ? words
                : words.substring(0, words.offsetByCodePoints(0, LONGEST_NOTE - 2)) + "…";
    }
}
