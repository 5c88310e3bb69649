package app.clearpane.core.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * What moved the finish of a project, day by day, and who (D5). From one morning to the next, first the plan's change
 * is taken with what was known before, then the rest of the movement goes to the side that held the head of the chain:
 * the one after where the finish moved out, the one before where it came in. A finish is measured in working days from
 * the agreed one, on the calendar as it was known then, so that a holiday more or less is a change of the plan.
 *
 * @param reserve working days between the finish of the plan as it was agreed and the agreed finish
 * @param planned the last day of the plan as it was agreed
 * @param days one line for every working day since the plan was agreed on, moved or not, the oldest first
 */
public record SlipLedger(int reserve, LocalDate planned, List<Day> days) {

    /**
     * All that was known on the morning of a working day.
     *
     * @param morning the day; the days of a ledger follow each other
     * @param activities what was to be done, with what was known of it
     * @param holders who held each activity; what is missing was ours
     * @param paused whether the project rested
     */
    public record State(
            LocalDate morning, Timeline timeline, Network activities, Map<ItemId, Side> holders, boolean paused) {
        public State {
            holders = Map.copyOf(holders);
        }

        /** This plan with what was known in another state of what was done, and who held what then. */
        public State knowing(State other) {
            return new State(
                    morning, timeline, SlipLedger.knowing(activities, other.activities), other.holders, paused);
        }
    }

    /**
     * What one day did.
     *
     * @param on the day
     * @param slip by how many working days it moved the finish, and who did
     * @param because what held everything up; empty where nobody moved it
     * @param finish the last day of everything as forecast on the morning after
     * @param holder who held the head of the chain when the day began
     */
    public record Day(LocalDate on, Slip slip, Optional<Task> because, LocalDate finish, Side holder) {}

    public SlipLedger {
        days = List.copyOf(days);
    }

    /**
     * All of it together; equals {@code F(today) - F(agreed)}, and with the reserve taken off the working days after
     * the agreed finish.
     */
    public Slip sum() {
        return days.stream().map(Day::slip).reduce(Slip.NONE, Slip::plus);
    }

    /**
     * Working days by which everything ends after the agreed finish; below 0 before it. What each side lost, less the
     * reserve.
     */
    public int late() {
        return sum().total() - reserve;
    }

    /**
     * Computes it.
     *
     * @param states from the morning on which the plan was agreed to today's, one for each working day
     * @param agreed the agreed finish
     * @throws IllegalArgumentException if there is no state
     */
    public static SlipLedger of(List<State> states, LocalDate agreed) {
        if (states.isEmpty()) {
            throw new IllegalArgumentException("a ledger needs the morning on which the plan was agreed");
        }
        Forecast before = forecast(states.get(0));
        int reserve = -late(before, agreed);
        LocalDate planned = before.timeline().lastDay(before.finish());
        List<Day> days = new ArrayList<>();
        for (int i = 1; i < states.size(); i++) {
            State from = states.get(i - 1);
            State to = states.get(i);
            Forecast after = forecast(to);
            Forecast between = samePlan(from, to)
                    ? before
                    : Forecast.of(
                            knowing(to.activities(), from.activities()),
                            to.timeline(),
                            to.timeline().offset(from.morning()));
            int planChange = late(between, agreed) - late(before, agreed);
            int rest = late(after, agreed) - late(between, agreed);
            Optional<Task> head = rest == 0 ? Optional.empty() : (rest > 0 ? after : between).head();
            days.add(new Day(
                    from.morning(),
                    slip(planChange, rest, head.map(task -> holder(task, from, to)), from.paused()),
                    from.paused() ? Optional.empty() : head,
                    after.timeline().lastDay(after.finish()),
                    before.head().map(task -> holder(task, from, to)).orElse(Side.OURS)));
            before = after;
        }
        return new SlipLedger(reserve, planned, days);
    }

    /** Whether nothing but what is known of the days differs. */
    private static boolean samePlan(State from, State to) {
        List<Task> then = from.activities().activities();
        List<Task> now = to.activities().activities();
        return from.timeline().equals(to.timeline())
                && then.size() == now.size()
                && IntStream.range(0, then.size())
                        .allMatch(i -> then.get(i) == now.get(i)
                                || then.get(i).id().equals(now.get(i).id())
                                        && then.get(i).side() == now.get(i).side()
                                        && then.get(i).shape().equals(now.get(i).shape()));
    }

    private static Slip slip(int planChange, int rest, Optional<Side> holder, boolean paused) {
        if (paused || holder.isEmpty()) {
            return new Slip(0, 0, planChange + rest);
        }
        return holder.get() == Side.CLIENTS ? new Slip(rest, 0, planChange) : new Slip(0, rest, planChange);
    }

    /**
     * Who held it when the day began; who held it at its end, if nobody did then: it was not there, or done, and came
     * back.
     */
    private static Side holder(Task task, State from, State to) {
        OptionalInt then = from.activities().place(task.id());
        boolean held = then.isPresent()
                && from.activities().activities().get(then.getAsInt()).stage().open();
        return (held ? from : to).holders().getOrDefault(task.id(), Side.OURS);
    }

    private static Forecast forecast(State state) {
        return Forecast.of(
                state.activities(), state.timeline(), state.timeline().offset(state.morning()));
    }

    /** Working days by which everything is finished after the agreed day. */
    private static int late(Forecast forecast, LocalDate agreed) {
        return forecast.finish() - forecast.timeline().offsetAfter(agreed);
    }

    /** One plan with what was known of it in another: of what was not in that, nothing. */
    private static Network knowing(Network plan, Network known) {
        return plan.knowing(task -> {
            OptionalInt place = known.place(task.id());
            Task then = place.isEmpty() ? null : known.activities().get(place.getAsInt());
            return then == task || then != null && then.actual().equals(task.actual()) && then.stage() == task.stage()
                    ? task
                    : new Task(
                            task.id(),
                            task.parent(),
                            task.name(),
                            task.side(),
                            task.shape(),
                            then == null ? Stage.TO_DO : then.stage(),
                            then == null ? Task.Actual.NONE : then.actual());
        });
    }
}
