package app.clearpane.core.exposure;

import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Why one person sees one item through one pane or not: the questions that were asked up to the one that settled it
 * (V8), and what would change it. Changes are not looked up but tried: each set of changes is made to the settings and
 * the rules decide again.
 *
 * @param steps in the order asked; the last one settled it
 * @param remedies the smallest sets of changes after which the answer is the other one, the likeliest first
 */
public record Why(Verdict verdict, List<Step> steps, List<Set<Change>> remedies) {
    private static final int MOST_AT_ONCE = 8;
    private static final int OFFERED = 3;

    /** A question on the way to a decision. */
    public enum Question {
        HAS_A_SEAT,
        CAME_IN,
        PANE_IS_PUBLISHED,
        PANE_HAS_OPENED,
        PANE_IS_STILL_OPEN,
        IS_THERE,
        IS_NOT_HELD_BACK,
        WAS_SENT_BY_NAME,
        CEILING_LETS_SOMETHING_THROUGH,
        APERTURE_LETS_SOMETHING_THROUGH,
        IS_SHOWN,
        PASSES_UNSAID
    }

    /** A question with its answer. */
    public record Step(Question question, boolean yes) {}

    /** Something one could change. The first ones let see, the last ones hide. */
    public enum Change {
        PUBLISH,
        LET_GO,
        LET_GO_ABOVE,
        LET_GO_EVERYWHERE,
        SHOW,
        OPEN_THE_APERTURE,
        RAISE_THE_CEILING,
        OPEN_THE_LINK,
        GIVE_A_SEAT,
        LATER_LAST_DAY,
        EARLIER_FIRST_DAY,
        RESTORE,
        HOLD_BACK,
        UNSET,
        CLOSE_THE_APERTURE,
        END_THE_SEAT
    }

    private static final Set<Change> THAT_HIDE = EnumSet.range(Change.HOLD_BACK, Change.END_THE_SEAT);

    /**
     * Asks.
     *
     * @param seat the person's seat at this pane; empty if they never had one
     * @param ifGiven the seat they would have if they were given one
     * @param now the instant of looking
     * @throws IllegalArgumentException if the seat is at another pane
     */
    public static Why of(Item item, Pane pane, Optional<Seat> seat, Seat ifGiven, Instant now) {
        Situation is = new Situation(
                item,
                new Pane(
                        pane.id(),
                        pane.name(),
                        pane.publishedAt(),
                        pane.until(),
                        about(item, pane.published()),
                        about(item, pane.pending()),
                        pane.ceilings(),
                        pane.from()),
                seat,
                ifGiven);
        Verdict verdict = is.decide(now);
        return new Why(verdict, steps(is, verdict, now), remedies(is, verdict.visible(), now));
    }

    /** What was said of the item and of what it stands in; the rest does not matter to it. */
    private static PaneSettings about(Item item, PaneSettings settings) {
        Set<ItemId> line = Stream.concat(
                        Stream.of(item.id()), item.ancestors().stream().map(Item.Ancestor::id))
                .collect(Collectors.toSet());
        return new PaneSettings(
                settings.apertures(),
                settings.filters(),
                only(line, settings.settings()),
                only(line, settings.forAllPanes()));
    }

    private static Map<ItemId, Setting> only(Set<ItemId> ids, Map<ItemId, Setting> settings) {
        return ids.stream().filter(settings::containsKey).collect(Collectors.toMap(Function.identity(), settings::get));
    }

    private record Situation(Item item, Pane pane, Optional<Seat> seat, Seat ifGiven) {
        Verdict decide(Instant now) {
            return Visibility.decide(item, pane, seat, now);
        }

        Situation with(Set<Change> changes, Instant now) {
            Situation changed = this;
            for (Change change : changes.stream()
                    .sorted((a, b) -> Boolean.compare(a == Change.PUBLISH, b == Change.PUBLISH))
                    .toList()) {
                changed = changed.with(change, now);
            }
            return changed;
        }

        private Situation with(Change change, Instant now) {
            return switch (change) {
                case PUBLISH -> at(pane.afterPublishing(now));
                case SHOW -> said(Showing.SHOWN, item.id(), now);
                case HOLD_BACK -> said(Showing.HELD_BACK, item.id(), now);
                case UNSET, LET_GO -> said(Showing.UNSET, item.id(), now);
                case LET_GO_ABOVE -> letGoAbove(now);
                case LET_GO_EVERYWHERE ->
                    at(new Pane(
                            pane.id(),
                            pane.name(),
                            pane.publishedAt(),
                            pane.until(),
                            everywhere(pane.published()),
                            everywhere(pane.pending()),
                            pane.ceilings(),
                            pane.from()));
                case OPEN_THE_APERTURE -> aperture(Aperture.OPEN);
                case CLOSE_THE_APERTURE -> aperture(Aperture.CLOSED);
                case RAISE_THE_CEILING ->
                    at(new Pane(
                            pane.id(),
                            pane.name(),
                            pane.publishedAt(),
                            pane.until(),
                            pane.published(),
                            pane.pending(),
                            Ceilings.NONE,
                            pane.from()));
                case OPEN_THE_LINK ->
                    seated(seat.filter(one -> one.state() == SeatState.INVITED).map(one -> accepted(one)));
                case GIVE_A_SEAT ->
                    seat.filter(one -> one.state() != SeatState.ENDED).isPresent()
                            ? this
                            : seated(Optional.of(accepted(ifGiven)));
                case END_THE_SEAT ->
                    seated(seat.map(
                            one -> new Seat(one.id(), one.pane(), one.contact(), one.role(), SeatState.ENDED, false)));
                case LATER_LAST_DAY ->
                    at(new Pane(
                            pane.id(),
                            pane.name(),
                            pane.publishedAt(),
                            Optional.empty(),
                            pane.published(),
                            pane.pending(),
                            pane.ceilings(),
                            pane.from()));
                case EARLIER_FIRST_DAY ->
                    at(new Pane(
                            pane.id(),
                            pane.name(),
                            pane.publishedAt(),
                            pane.until(),
                            pane.published(),
                            pane.pending(),
                            pane.ceilings(),
                            Optional.empty()));
                case RESTORE ->
                    new Situation(
                            item.state() == Item.State.DELETED ? item.as(Item.State.THERE) : item, pane, seat, ifGiven);
            };
        }

        private static Seat accepted(Seat one) {
            return new Seat(one.id(), one.pane(), one.contact(), one.role(), SeatState.ACCEPTED, one.leadVoice());
        }

        private Situation seated(Optional<Seat> other) {
            return other.isEmpty() ? this : new Situation(item, pane, other, ifGiven);
        }

        private Situation at(Pane other) {
            return new Situation(item, other, seat, ifGiven);
        }

        private Situation pending(PaneSettings settings) {
            return at(new Pane(
                    pane.id(),
                    pane.name(),
                    pane.publishedAt(),
                    pane.until(),
                    pane.published(),
                    settings,
                    pane.ceilings(),
                    pane.from()));
        }

        private Situation said(Showing showing, ItemId about, Instant now) {
            Map<ItemId, Setting> settings = new HashMap<>(pane.pending().settings());
            if (showing == Showing.UNSET) {
                settings.remove(about);
            } else {
                settings.put(about, new Setting(showing, new Actor.House(""), now));
            }
            return pending(new PaneSettings(
                    pane.pending().apertures(),
                    pane.pending().filters(),
                    settings,
                    pane.pending().forAllPanes()));
        }

        private Situation letGoAbove(Instant now) {
            Situation changed = this;
            for (Item.Ancestor above : item.ancestors()) {
                if (changed.pane.pending().heldBack(above.id()).isPresent()) {
                    changed = changed.said(Showing.UNSET, above.id(), now);
                }
            }
            return changed;
        }

        private PaneSettings everywhere(PaneSettings settings) {
            Map<ItemId, Setting> left = new HashMap<>(settings.forAllPanes());
            Stream.concat(Stream.of(item.id()), item.ancestors().stream().map(Item.Ancestor::id))
                    .forEach(left::remove);
            return new PaneSettings(settings.apertures(), settings.filters(), settings.settings(), left);
        }

        private Situation aperture(Aperture aperture) {
            Map<ContentKind, Aperture> apertures = new HashMap<>(pane.pending().apertures());
            apertures.put(item.kind(), aperture);
            return pending(new PaneSettings(
                    apertures,
                    pane.pending().filters(),
                    pane.pending().settings(),
                    pane.pending().forAllPanes()));
        }
    }

    /** The smallest sets of changes after which the answer is the other one. */
    private static List<Set<Change>> remedies(Situation is, boolean seen, Instant now) {
        List<Change> candidates = Stream.of(Change.values())
                .filter(change -> THAT_HIDE.contains(change) == seen)
                .toList();
        for (int size = 1; size <= Math.min(MOST_AT_ONCE, candidates.size()); size++) {
            List<Set<Change>> found = new ArrayList<>();
            tryAll(is, candidates, 0, EnumSet.noneOf(Change.class), new Wanted(size, !seen, now), found);
            if (!found.isEmpty()) {
                return found.stream().limit(OFFERED).toList();
            }
        }
        return List.of();
    }

    private record Wanted(int size, boolean seen, Instant now) {}

    private static void tryAll(
            Situation is,
            List<Change> candidates,
            int from,
            Set<Change> chosen,
            Wanted wanted,
            List<Set<Change>> found) {
        if (chosen.size() == wanted.size()) {
            if (is.with(chosen, wanted.now()).decide(wanted.now()).visible() == wanted.seen()) {
                found.add(EnumSet.copyOf(chosen));
            }
            return;
        }
        for (int i = from; i < candidates.size(); i++) {
            chosen.add(candidates.get(i));
            tryAll(is, candidates, i + 1, chosen, wanted, found);
            chosen.remove(candidates.get(i));
        }
    }

    private static List<Step> steps(Situation is, Verdict verdict, Instant now) {
        List<Step> steps = new ArrayList<>();
        for (Question question : Question.values()) {
            boolean yes = answer(question, is, verdict, now);
            steps.add(new Step(question, yes));
            if (settles(question, yes)) {
                break;
            }
        }
        return List.copyOf(steps);
    }

    private static boolean settles(Question question, boolean yes) {
        return switch (question) {
            case WAS_SENT_BY_NAME, IS_SHOWN -> yes;
            default -> !yes;
        };
    }

    private static boolean answer(Question question, Situation is, Verdict verdict, Instant now) {
        Reason reason = verdict.reason();
        return switch (question) {
            case HAS_A_SEAT ->
                is.seat().filter(seat -> seat.state() != SeatState.ENDED).isPresent();
            case CAME_IN ->
                is.seat().filter(seat -> seat.state() == SeatState.ACCEPTED).isPresent();
            case PANE_IS_PUBLISHED -> is.pane().publishedAt().isPresent();
            case PANE_HAS_OPENED ->
                is.pane().from().filter(from -> now.isBefore(from)).isEmpty();
            case PANE_IS_STILL_OPEN ->
                is.pane().until().filter(until -> !now.isBefore(until)).isEmpty();
            case IS_THERE -> is.item().state() == Item.State.THERE;
            case IS_NOT_HELD_BACK -> reason != Reason.HELD_BACK && reason != Reason.HELD_BACK_ABOVE;
            case WAS_SENT_BY_NAME -> reason == Reason.BY_NAME;
            case CEILING_LETS_SOMETHING_THROUGH -> reason != Reason.CEILING_CLOSED;
            case APERTURE_LETS_SOMETHING_THROUGH -> reason != Reason.APERTURE_CLOSED;
            case IS_SHOWN -> reason == Reason.SHOWN || reason == Reason.SHOWN_ABOVE;
            case PASSES_UNSAID -> verdict.visible();
        };
    }
}
