package app.clearpane.web.markup;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.ReadingOrder;
import app.clearpane.core.markup.Writing;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.compare.Across;
import app.clearpane.usecases.deliverable.SheetTiles;
import app.clearpane.usecases.markup.MarkWords;
import app.clearpane.usecases.markup.ShapeOnSheet;
import app.clearpane.usecases.markup.StandingMarks;
import app.clearpane.usecases.markup.ViewBox;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.Spoken;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The light table as a page shows it, for either side.
 *
 * @param base where its links begin
 * @param sheet the page in hand; empty until it is drawn
 * @param notes the marks on that page, in reading order
 * @param marksOnPage for each page how many marks stand on it
 * @param closed its round, once that is closed
 * @param passages of a text; none unless it is one
 */
public record LightTable(
        String base,
        String deliverable,
        Version version,
        List<Version> versions,
        int page,
        int pages,
        Optional<Drawings.Sheet> sheet,
        Optional<String> failure,
        List<Note> notes,
        List<PageTab> marksOnPage,
        boolean mayMarkUp,
        boolean ofTeam,
        Optional<Round> closed,
        List<Passage> passages) {

    /** The most tabs for pages; with more pages only those near the one in hand have one. */
    private static final int TABS_EACH_WAY = 12;

    /** With more notes than this on a page, their forms are fetched one by one. */
    private static final int MOST_WHOLE = 30;

    /** A page one can go to. */
    public record PageTab(int page, int marks) {}

    /**
     * A paragraph of a text.
     *
     * @param style "title", "heading", "body", "item", "quote" or "code"
     * @param start of its first character in the text
     */
    public record Passage(String style, int start, List<Piece> pieces) {}

    /**
     * Some of its words that look the same. @param note the shortest mark that they lie in; empty if they lie in none
     */
    public record Piece(String text, boolean strong, boolean emphasised, Optional<Note> note) {}

    /**
     * One mark with its note.
     *
     * @param at where it stands on this version; empty if its page is gone
     * @param carried whether it was placed on an earlier version
     * @param touch what changed at its place since; empty if it was placed on this version, or if that is not known
     * @param progress what this side is told
     * @param buttons what may be done to it by whoever looks
     * @param around what its words and its threads lead to
     */
    public record Note(
            Mark mark,
            Optional<Place> at,
            boolean carried,
            Optional<Touch> touch,
            String progress,
            List<Button> buttons,
            boolean own,
            Around around) {
        private static final Set<MarkupProgress.Act> NEED_WORDS = EnumSet.of(MarkupProgress.Act.SET_ASIDE);
        private static final Set<MarkupProgress.Act> TAKE_BACK = EnumSet.of(MarkupProgress.Act.WITHDRAW);

        /** The next steps that need no words: they stand under the note. */
        public List<Button> steps() {
            return unsettled()
                    ? buttons.stream()
                            .filter(button -> !NEED_WORDS.contains(button.act()) && !TAKE_BACK.contains(button.act()))
                            .toList()
                    : List.of();
        }

        /** Whether whoever looks may change what it says: it is theirs, on this version, and nothing settled it. */
        public boolean mayEdit() {
            return own
                    && !carried
                    && mark.progress().unsettled()
                    && !buttons.isEmpty()
                    && around.closed()
                            .filter(round -> CountMarks.isKeptAsItIs(mark, round))
                            .isEmpty();
        }

        /** Its note, cut where it calls somebody or something by name. */
        public List<Spoken> words() {
            return Spoken.of(mark.note(), mark.beside().with(), around.ways());
        }

        /** The same of an answer. */
        public List<Spoken> words(Mark.Answer answer) {
            return Spoken.of(answer.said(), answer.with(), around.ways());
        }

        /** Who sees to it, by name; empty if nobody in particular, and on the client's side. */
        public Optional<String> doer() {
            return mark.beside()
                    .doer()
                    .flatMap(member -> Optional.ofNullable(around.team().get(member)));
        }

        /** Whether it was given to whoever looks. */
        public boolean mine() {
            return own
                    || mark.beside()
                            .doer()
                            .filter(doer -> doer.equals(around.me()))
                            .isPresent();
        }

        /** The task that was made of it; empty on the client's side. */
        public Optional<ItemId> task() {
            return mark.beside().task().filter(task -> !around.team().isEmpty());
        }

        /** Whether there is anything to say of who sees to it, what was made of it, and what asks for the same. */
        public boolean followed() {
            return doer().isPresent() || task().isPresent() || !alike().isEmpty();
        }

        /** The labels of the marks that were joined with it because they ask for the same. */
        public List<String> alike() {
            List<Named> joined = around.joined().get(mark.ahead());
            return joined == null
                    ? List.of()
                    : joined.stream()
                            .filter(other -> !other.mark().equals(mark.id()))
                            .map(Named::label)
                            .toList();
        }

        /** Everything else that may be done: it stands beside the answer. */
        public List<Button> more() {
            return buttons.stream().filter(button -> !steps().contains(button)).toList();
        }

        /** "change", "question", "idea" or "keep". */
        public String intent() {
            return MarkWords.intent(mark.intent());
        }

        /** The heading of an answer that did something. */
        public String done(Mark.Answer answer) {
            return answer.act().map(MarkWords::done).orElse("");
        }

        /** What the mark looks like on the sheet, in thousandths of its width. */
        public Optional<ShapeOnSheet> drawn(Drawings.Sheet sheet) {
            return at.flatMap(place -> ShapeOnSheet.shape(place, sheet.size().ratio()));
        }

        /** Where it is in a text or in what is played, in words; empty on a sheet, where a leader shows it. */
        public Optional<String> where() {
            Place place = at.orElse(mark.place());
            return ShapeOnSheet.pictured(place) ? Optional.empty() : Optional.of(MarkWords.where(place));
        }

        /** Its moment or span; empty unless it is of something that is played. */
        public Optional<Place.Moment> moment() {
            return at.orElse(mark.place()) instanceof Place.Moment moment ? Optional.of(moment) : Optional.empty();
        }

        /** The page it stands on, from 1; where its page is gone, the page it was on. */
        int page() {
            return at.orElse(mark.place()).page();
        }

        /** What became of its place since it was marked; empty if that is not known. */
        public Optional<String> since() {
            return !carried
                    ? Optional.empty()
                    : at.isEmpty()
                            ? Optional.of(
                                    mark.place() instanceof Place.TextRange ? "its text is gone" : "its page is gone")
                            : touch.map(MarkWords::touch);
        }

        /** Whether it came after its version was agreed. */
        public boolean later() {
            return around.closed()
                    .filter(round -> CountMarks.isLater(mark, round))
                    .isPresent();
        }

        /** Whether it asks for something and is open or taken on. */
        public boolean open() {
            return mark.intent().asks() && mark.progress().unsettled();
        }

        /** Whether it asks for something that nobody has said or done anything about. */
        public boolean unanswered() {
            return open() && mark.answers().isEmpty();
        }

        /** Whether it still asks for something. */
        public boolean unsettled() {
            return mark.progress().carriesOver();
        }
    }

    /** What a mark is called. */
    record Named(MarkupId mark, String label) {}

    /**
     * What notes lead to.
     *
     * @param ways the address of a thing that is called by name; empty if whoever looks does not see it
     * @param team the names of the team; none on the client's side
     * @param me who of the team looks; null on the client's side
     * @param joined the marks that were joined, as far as whoever looks sees them, by the one that goes ahead
     * @param open the note that is to be worked in; null if none in particular
     * @param closed the round of the version in hand, once that is closed
     */
    public record Around(
            Function<ItemId, Optional<String>> ways,
            Map<TeamMemberId, String> team,
            @Nullable TeamMemberId me,
            Map<MarkupId, List<Named>> joined,
            @Nullable MarkupId open,
            Optional<Round> closed) {
        /** For one of the team. */
        public static Around ofTeam(
                Function<ItemId, Optional<String>> ways,
                Map<TeamMemberId, String> team,
                TeamMemberId me,
                List<Mark> marks,
                @Nullable MarkupId open,
                Optional<Round> round) {
            return new Around(ways, team, me, joined(marks), open, round.filter(one -> !one.open()));
        }

        /** For a viewer. */
        static Around ofViewer(
                Function<ItemId, Optional<String>> ways,
                List<Mark> marks,
                @Nullable MarkupId open,
                Optional<Round> round) {
            return new Around(ways, Map.of(), null, joined(marks), open, round.filter(one -> !one.open()));
        }

        private static Map<MarkupId, List<Named>> joined(List<Mark> marks) {
            Set<MarkupId> ahead = marks.stream()
                    .flatMap(mark -> mark.beside().joinedTo().stream())
                    .collect(Collectors.toSet());
            return marks.stream()
                    .filter(mark -> ahead.contains(mark.ahead()))
                    .collect(Collectors.groupingBy(
                            Mark::ahead,
                            Collectors.mapping(
                                    mark -> new Named(mark.id(), mark.label().toString()), Collectors.toList())));
        }
    }

    /** Something that may be done to a mark. */
    public record Button(MarkupProgress.Act act, String label) {}

    /**
     * Lays a version out.
     *
     * @param all the marks on this and earlier versions that this side sees
     * @param across brings marks of earlier versions onto this one
     * @param writing the version's text, if it is one
     * @param around what the notes lead to
     */
    public static LightTable of(
            String base,
            String deliverable,
            Version version,
            List<Version> versions,
            int page,
            Drawings.Drawing drawing,
            Optional<Drawings.Sheet> sheet,
            List<Mark> all,
            Across across,
            Optional<Writing> writing,
            Around around,
            Speaker side) {
        boolean ofTeam = side instanceof Speaker.Team;
        List<Note> notes = all.stream()
                .filter(mark -> StandingMarks.stands(mark, version, versions))
                .map(mark -> note(mark, version, versions, across, around, side))
                .sorted(Comparator.comparing(
                                (Note note) -> note.at().orElse(note.mark().place()), ReadingOrder.BY_BANDS)
                        .thenComparing(note -> note.mark().createdAt()))
                .toList();
        List<PageTab> tabs = IntStream.rangeClosed(1, drawing.pages())
                .filter(p -> drawing.pages() <= 2 * TABS_EACH_WAY
                        || p == 1
                        || p == drawing.pages()
                        || Math.abs(p - page) <= TABS_EACH_WAY)
                .mapToObj(p -> new PageTab(
                        p, (int) notes.stream().filter(note -> note.page() == p).count()))
                .toList();
        boolean mayMarkUp = ofTeam
                || side instanceof Speaker.Client client
                        && client.viewer().role().mayMarkUp()
                        && client.viewer().mayAct();
        return new LightTable(
                base,
                deliverable,
                version,
                versions,
                page,
                drawing.pages(),
                sheet,
                Optional.ofNullable(drawing.failure()),
                notes.stream()
                        .filter(note -> note.page() == page || note.page() > drawing.pages() && page == drawing.pages())
                        .toList(),
                tabs,
                mayMarkUp,
                ofTeam,
                around.closed(),
                writing.map(text -> passages(text, notes)).orElse(List.of()));
    }

    private static List<Passage> passages(Writing writing, List<Note> notes) {
        List<Note> placed = notes.stream()
                .filter(note ->
                        note.at().filter(Place.TextRange.class::isInstance).isPresent())
                .toList();
        List<Place.TextRange> ranges = placed.stream()
                .map(note -> (Place.TextRange) note.at().orElseThrow())
                .toList();
        List<List<Writing.Cut>> cuts = writing.cutAt(ranges);
        List<Integer> starts = writing.starts();
        List<Passage> passages = new ArrayList<>();
        for (int i = 0; i < cuts.size(); i++) {
            List<Piece> pieces = cuts.get(i).stream()
                    .map(cut -> new Piece(
                            cut.words().text(),
                            cut.words().strong(),
                            cut.words().emphasised(),
                            cut.within().stream().findFirst().map(placed::get)))
                    .toList();
            passages.add(new Passage(
                    writing.paragraphs().get(i).style().name().toLowerCase(Locale.ROOT), starts.get(i), pieces));
        }
        return passages;
    }

    private static String confirmedBy(Mark mark) {
        return mark.answers().stream()
                .filter(answer -> answer.act().equals(Optional.of(MarkupProgress.Act.CONFIRM)))
                .reduce((earlier, later) -> later)
                .map(answer -> " by " + answer.author().name())
                .orElse("");
    }

    private static Note note(
            Mark mark, Version version, List<Version> versions, Across across, Around around, Speaker side) {
        boolean ofTeam = side instanceof Speaker.Team;
        boolean newer = !versions.get(versions.size() - 1).id().equals(mark.version());
        MarkupProgress told = ofTeam ? mark.progress() : mark.told();
        String progress = MarkWords.progress(told)
                + (told == MarkupProgress.CONFIRMED
                        ? confirmedBy(mark)
                        : told != MarkupProgress.FIXED
                                ? ""
                                : mark.fixedInNumber()
                                        .map(number -> " in " + number)
                                        .orElse(" in the draft"));
        List<Button> buttons = side instanceof Speaker.Client client
                        && (!client.viewer().role().mayMarkUp()
                                || !client.viewer().mayAct())
                ? List.of()
                : Arrays.stream(MarkupProgress.Act.values())
                        .filter(act -> told.after(
                                        act,
                                        side.actorOn(mark),
                                        around.closed()
                                                .filter(round -> round.soFar().agreed())
                                                .isPresent())
                                .isPresent())
                        .filter(act -> mark.intent().asks() || !act.works())
                        .filter(act -> act != MarkupProgress.Act.FIX || newer)
                        .map(act -> new Button(act, MarkWords.button(act)))
                        .toList();
        return new Note(
                mark,
                across.place(mark.place(), mark.version(), version.id()),
                !mark.version().equals(version.id()),
                across.touch(mark.place(), mark.version(), version.id()),
                progress,
                buttons,
                side.actorOn(mark).author(),
                around);
    }

    /** What becomes of notes that are left now, where its round is closed and no later version was sent. */
    public Optional<String> afterwards() {
        boolean newest = versions.stream()
                .noneMatch(other -> !other.draft()
                        && !version.draft()
                        && Objects.requireNonNull(other.number()) > Objects.requireNonNull(version.number()));
        return closed.filter(round -> newest && mayMarkUp && !ofTeam)
                .map(round -> round.soFar().agreed()
                        ? "This version is agreed. A note left now changes nothing of that: it is kept for the "
                                + "next version, and we are told of it."
                        : "This round is closed. A note left now is kept for the next version, and we are told of it.");
    }

    /** The version before this one that may be looked at; empty for the first. */
    public Optional<Version> earlier() {
        int at = versions.stream().map(Version::id).toList().indexOf(version.id());
        return at > 0 ? Optional.of(versions.get(at - 1)) : Optional.empty();
    }

    /**
     * Whether a note comes with its forms: all do where there are few of them; where there are many, they are fetched
     * for the one that is worked in.
     */
    public boolean whole(Note note) {
        return notes.size() <= MOST_WHOLE
                || note.mark().id().equals(note.around().open());
    }

    /** How many times over the sheet can be drawn twice as wide, for looking closely. */
    public int levels() {
        return sheet.map(one -> SheetTiles.levels(version.mediaType(), one.size()))
                .orElse(0);
    }

    /** What a mark that was placed on this version looks like on its sheet. */
    public ShapeOnSheet drawn(Mark mark) {
        return ShapeOnSheet.of(mark.place(), sheet.orElseThrow().size().ratio());
    }

    /** Where a mark is, in words. */
    public String where(Mark mark) {
        return MarkWords.where(mark.place());
    }

    /** What of the sheet to show of such a mark, as a view box. */
    public String cut(Mark mark) {
        return ViewBox.around(mark.place(), sheet.orElseThrow().size().ratio());
    }

    /** The pages before and after. */
    public List<Integer> neighbours() {
        return new ArrayList<>(
                Stream.of(page - 1, page + 1).filter(p -> p >= 1 && p <= pages).toList());
    }
}
