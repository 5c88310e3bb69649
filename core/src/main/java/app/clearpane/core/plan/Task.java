package app.clearpane.core.plan;

import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A task, or a milestone, with all that the rules of the plan need to know of it.
 *
 * @param parent the task it is a part of; empty at the top
 * @param side whose it is to do
 * @param shape how much time it takes, what it waits for
 * @param stage how far it is
 * @param actual what is known of its days
 */
public record Task(
        ItemId id, Optional<ItemId> parent, String name, Side side, Shape shape, Stage stage, Actual actual) {

    /** The most working days that one task can take. */
    public static final int MOST_DAYS = 2_500;

    /** A task that must be finished before another can begin, and the working days between. */
    public record After(ItemId predecessor, int lagDays) {
        public After {
            if (lagDays < 0 || lagDays > MOST_DAYS) {
                throw new IllegalArgumentException("a lag is 0 to " + MOST_DAYS + " working days, got " + lagDays);
            }
        }
    }

    /**
     * What is planned of a task.
     *
     * @param days working days it takes; 0 for a milestone, for the client's 1 or more
     * @param notBefore the first day it may begin; of a milestone that waits for nothing, the day it falls on
     * @param after what it waits for
     * @param effortMinutes estimate of the work in it, more than 0; empty counts as an hour
     */
    public record Shape(int days, Optional<LocalDate> notBefore, List<After> after, OptionalInt effortMinutes) {
        public Shape {
            after = List.copyOf(after);
            if (days < 0 || days > MOST_DAYS) {
                throw new IllegalArgumentException("a task takes 0 to " + MOST_DAYS + " working days, got " + days);
            }
        }
    }

    /**
     * What is known of a task's days.
     *
     * @param began the day work on it began; of the client's, the day it was sent to them
     * @param done the day it was done
     * @param remaining what was last said to remain
     */
    public record Actual(Optional<LocalDate> began, Optional<LocalDate> done, Optional<Remaining> remaining) {
        /** Nothing happened yet. */
        public static final Actual NONE = new Actual(Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The working days said to remain on the morning of a day. */
    public record Remaining(int days, LocalDate saidOn) {}

    /** The same, waiting for other things. */
    public Task waitingFor(List<After> others) {
        Shape waiting = new Shape(shape.days(), shape.notBefore(), others, shape.effortMinutes());
        return new Task(id, parent, name, side, waiting, stage, actual);
    }

    /** Whether it is a day rather than work. */
    public boolean milestone() {
        return shape.days() == 0;
    }

    /**
     * The same task at another stage. Work began on the day it left "to do", unless that was known; a task of the
     * client's keeps the day it was given to them. What is said to remain counts only while somebody works on it.
     *
     * @param today the day of the change
     */
    public Task movedTo(Stage next, LocalDate today) {
        if (next == stage) {
            return this;
        }
        Optional<LocalDate> began =
                switch (next) {
                    case TO_DO -> actual.began().filter(day -> side == Side.CLIENTS);
                    case DROPPED -> actual.began();
                    case UNDER_WAY, IN_CHECK, DONE -> actual.began().or(() -> Optional.of(today));
                };
        Optional<LocalDate> done = next == Stage.DONE ? Optional.of(today) : Optional.empty();
        Optional<Remaining> remaining = next.open() && next != Stage.TO_DO ? actual.remaining() : Optional.empty();
        return new Task(id, parent, name, side, shape, next, new Actual(began, done, remaining));
    }
}
