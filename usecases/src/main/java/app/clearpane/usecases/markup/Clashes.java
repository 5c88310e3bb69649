package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.Place;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.markup.Rulings;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The clashes on a version that nobody ruled on yet, and who is to (M6). */
@Component
public class Clashes {
    /** More sheets than this are taken for as wide as high where clashes are looked for. */
    private static final int SHEETS = 500;

    private static final int KEPT_READ = 300;
    private final Cache<Sha256, Map<Integer, Double>> ratiosOf =
            Caffeine.newBuilder().maximumSize(KEPT_READ).build();
    private final Drawings drawings;
    private final Rulings rulings;
    private final Seats seats;

    Clashes(Drawings drawings, Rulings rulings, Seats seats) {
        this.drawings = drawings;
        this.rulings = rulings;
        this.seats = seats;
    }

    /**
     * Two marks that cannot both be followed.
     *
     * @param first the one placed earlier
     */
    public record Open(Mark first, Mark second) {
        /** The page it is on. */
        public int page() {
            return first.place().page();
        }

        /** The two as the core knows them. */
        Clash clash() {
            return new Clash(first.id(), second.id());
        }

        /** Both, in their order. */
        public List<Mark> both() {
            return List.of(first, second);
        }
    }

    /** Those on a version, as far as its marks at one pane go. @param marks of any versions, with or without threads */
    public List<Open> openOn(Version version, PaneId pane, List<Mark> marks) {
        return openOn(version, pane, marks, () -> ruledOn(List.of(version.deliverable())));
    }

    /** Those that wait in a round. @param marks of any versions, with or without threads */
    public static List<Open> waiting(Round round, List<Mark> marks) {
        Map<MarkupId, Mark> byId = marks.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        return round.clashes().stream()
                .filter(turn -> turn.waits()
                        && byId.containsKey(turn.clash().first())
                        && byId.containsKey(turn.clash().second()))
                .map(turn -> new Open(
                        Objects.requireNonNull(byId.get(turn.clash().first())),
                        Objects.requireNonNull(byId.get(turn.clash().second()))))
                .toList();
    }

    /** Those of the marks of some deliverables that were ruled on. */
    public Set<Clash> ruledOn(Collection<ItemId> deliverables) {
        return rulings.rulingsOf(deliverables).stream()
                .map(Rulings.Ruling::clash)
                .collect(Collectors.toSet());
    }

    /** The same, where it is known, or can be asked, which were ruled on. */
    public List<Open> openOn(Version version, PaneId pane, List<Mark> marks, Supplier<Set<Clash>> ruledOn) {
        List<Mark> standing = standing(version.id(), pane, marks);
        if (standing.stream().noneMatch(mark -> mark.intent() == Intent.CHANGE)
                || standing.stream()
                        .noneMatch(mark -> mark.intent() == Intent.KEEP
                                || mark.replacement().isPresent())) {
            return List.of();
        }
        List<Clash> all = Clash.among(wishes(version, standing));
        Set<Clash> ruled = all.isEmpty() ? Set.of() : ruledOn.get();
        Map<MarkupId, Mark> byId = standing.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        return all.stream()
                .filter(clash -> !ruled.contains(clash))
                .map(clash -> new Open(
                        Objects.requireNonNull(byId.get(clash.first())),
                        Objects.requireNonNull(byId.get(clash.second()))))
                .toList();
    }

    /** Pairs of marks by two people that ask for a change at one place. */
    public List<Clash> sameWishes(Version version, PaneId pane, List<Mark> marks) {
        List<Mark> changes = standing(version.id(), pane, marks).stream()
                .filter(mark -> mark.intent() == Intent.CHANGE)
                .toList();
        return changes.stream().map(Clashes::person).distinct().count() < 2
                ? List.of()
                : Clash.sameWishes(wishes(version, changes));
    }

    /** Marks by two people that ask for a change at one place and were not joined yet. */
    public List<Open> notJoined(Version version, PaneId pane, List<Mark> marks) {
        Map<MarkupId, Mark> byId = marks.stream().collect(Collectors.toMap(Mark::id, Function.identity()));
        return sameWishes(version, pane, marks).stream()
                .map(pair -> new Open(
                        Objects.requireNonNull(byId.get(pair.first())),
                        Objects.requireNonNull(byId.get(pair.second()))))
                .filter(pair -> !pair.first().ahead().equals(pair.second().ahead()))
                .toList();
    }

    private List<Clash.Wish> wishes(Version version, List<Mark> marks) {
        boolean onWords = marks.stream().allMatch(mark -> mark.place() instanceof Place.TextRange);
        Map<Integer, Double> ratios =
                onWords ? Map.of() : Objects.requireNonNullElse(ratiosOf.get(version.sha256(), this::ratios), Map.of());
        return marks.stream()
                .map(mark -> new Clash.Wish(
                        mark.id(),
                        person(mark),
                        mark.place(),
                        mark.intent(),
                        ratios.getOrDefault(mark.place().page(), 1.0),
                        mark.replacement()))
                .toList();
    }

    /** The height over the width of each sheet of a file; null until all are drawn, so that it is not kept. */
    private @Nullable Map<Integer, Double> ratios(Sha256 source) {
        if (drawings.find(source)
                .filter(drawing -> drawing.state() == Drawings.State.DONE)
                .isEmpty()) {
            return null;
        }
        return drawings.sheets(source, SHEETS).stream()
                .collect(Collectors.toMap(
                        Drawings.Sheet::page, sheet -> sheet.size().ratio()));
    }

    private static List<Mark> standing(VersionId version, PaneId pane, List<Mark> marks) {
        return marks.stream()
                .filter(mark -> mark.version().equals(version)
                        && mark.pane().equals(pane)
                        && !mark.teamOnly()
                        && mark.progress().carriesOver())
                .sorted(Comparator.comparing(Mark::createdAt))
                .toList();
    }

    /** Whose wish it is; what one of the team brought along for two people are the wishes of two. */
    private static Object person(Mark mark) {
        return mark.author().contact().<Object>map(contact -> contact).orElse(mark.author());
    }

    /** Who speaks for the client at a pane; empty if nobody does, and the manager rules. */
    public Optional<SeatRow> leadVoice(PaneId pane) {
        return seats.ofPane(pane).stream()
                .filter(seat -> seat.leadVoice() && seat.state() != SeatState.ENDED)
                .findFirst();
    }
}
