package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Whether a task can be given to one of the client's people (V6). */
public final class GivenTask {
    private GivenTask() {}

    /**
     * What holds a task back from a contact wherever they sit; empty if they would see it at one of their panes, or sit
     * nowhere yet.
     *
     * @param task as it is now, whoever it is addressed to
     * @param panes of the project
     * @param seats of the project, whoever's; those that have ended count for nothing
     */
    public static Optional<Verdict> heldBackFrom(
            ContactId contact, Item task, List<Pane> panes, List<Seat> seats, Instant now) {
        Item addressed = new Item(task.id(), task.kind(), task.name(), task.ancestors(), task.state(), Set.of(contact));
        List<Verdict> verdicts = seats.stream()
                .filter(seat -> seat.contact().equals(contact) && seat.state() != SeatState.ENDED)
                .flatMap(seat -> panes.stream()
                        .filter(pane -> pane.id().equals(seat.pane()))
                        .map(pane -> Visibility.decide(addressed, pane, Optional.of(accepted(seat)), now)))
                .toList();
        return verdicts.stream().allMatch(GivenTask::isHeldBack)
                ? verdicts.stream().findFirst()
                : Optional.empty();
    }

    /** The seat as it will be once its holder came in: a task may be given before that. */
    private static Seat accepted(Seat seat) {
        return new Seat(seat.id(), seat.pane(), seat.contact(), seat.role(), SeatState.ACCEPTED, seat.leadVoice());
    }

    private static boolean isHeldBack(Verdict verdict) {
        return verdict.reason() == Reason.HELD_BACK || verdict.reason() == Reason.HELD_BACK_ABOVE;
    }
}
