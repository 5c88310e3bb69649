package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What came into view and what went out of it between two looks at a project, for somebody at each of its panes to whom
 * nothing is addressed (V5): a file moved into a shown folder, a task that became finished, a part of something that
 * was deleted.
 *
 * @param came in the order of the items, pane by pane
 * @param went the same for what is no longer seen
 */
public record Arrivals(List<Change> came, List<Change> went) {
    private static final ContactId NOBODY_IN_PARTICULAR = new ContactId(new UUID(0, 0));

    public Arrivals {
        came = List.copyOf(came);
        went = List.copyOf(went);
    }

    /**
     * One item at one pane. @param verdict the decision by the later look, with the rule that let it through or stopped
     * it
     */
    public record Change(Pane pane, Item item, Verdict verdict) {}

    /**
     * What is seen at one instant, and why; what is not seen stands in it too.
     *
     * @param verdicts by pane and item
     */
    public record View(Map<Pane, Map<Item, Verdict>> verdicts) {
        /** What somebody sees of these items through these panes. */
        public static View of(List<Item> items, List<Pane> panes, Instant now) {
            Map<Pane, Map<Item, Verdict>> verdicts = new LinkedHashMap<>();
            for (Pane pane : panes) {
                Map<Item, Verdict> here = new LinkedHashMap<>();
                items.forEach(item -> here.put(item, decide(item, pane, now)));
                verdicts.put(pane, here);
            }
            return new View(verdicts);
        }

        private Map<PaneId, Map<ItemId, Verdict>> byId() {
            Map<PaneId, Map<ItemId, Verdict>> byId = new LinkedHashMap<>();
            verdicts.forEach((pane, here) ->
                    here.forEach((item, verdict) -> byId.computeIfAbsent(pane.id(), none -> new LinkedHashMap<>())
                            .put(item.id(), verdict)));
            return byId;
        }
    }

    /** What changed between two looks. What is in one of them only was not seen in the other. */
    public static Arrivals between(View before, View after) {
        Map<PaneId, Map<ItemId, Verdict>> was = before.byId();
        List<Change> came = new ArrayList<>();
        List<Change> went = new ArrayList<>();
        after.verdicts()
                .forEach((pane, here) -> here.forEach((item, verdict) -> {
                    boolean seen = Optional.ofNullable(
                                    was.getOrDefault(pane.id(), Map.of()).get(item.id()))
                            .filter(Verdict::visible)
                            .isPresent();
                    if (seen != verdict.visible()) {
                        (seen ? went : came).add(new Change(pane, item, verdict));
                    }
                }));
        return new Arrivals(came, went);
    }

    /** The panes at which a deleted item would be seen at once if it were brought back. */
    public static List<Pane> ifBroughtBack(Item item, List<Pane> panes, Instant now) {
        Item back = item.as(Item.State.THERE);
        return panes.stream().filter(pane -> decide(back, pane, now).visible()).toList();
    }

    private static Verdict decide(Item item, Pane pane, Instant now) {
        return Visibility.decide(
                item,
                pane,
                Optional.of(new Seat(
                        new SeatId(pane.id().value()),
                        pane.id(),
                        NOBODY_IN_PARTICULAR,
                        SeatRole.READER,
                        SeatState.ACCEPTED,
                        false)),
                now);
    }
}
