package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Task;
import app.clearpane.usecases.shell.Input;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * By when something is to be done, as typed: by a day, or so many working days before something else of the plan
 * begins; and until which hour.
 *
 * @param dueBefore the task or milestone it is due before
 */
public record DueForm(
        @Nullable String due,
        @Nullable String dueHour,
        @Nullable String dueDays,
        @Nullable String dueBefore) {
    /** Nothing typed. */
    static final DueForm NONE = new DueForm(null, null, null, null);

    /**
     * What it says. Something it is due before beats a day that was left in its field; what cannot be read is noted.
     */
    public Due read(Input input) {
        Optional<LocalDate> day = typed(due).flatMap(text -> input.day("Due", text));
        Optional<LocalTime> hour = typed(dueHour).flatMap(text -> input.hour("The hour it is due", text));
        Optional<ItemId> activity =
                typed(dueBefore).flatMap(text -> input.one("What it is due before", text, ItemId::of));
        if (activity.isEmpty()) {
            input.require(
                    hour.isEmpty() || typed(due).isPresent(),
                    "Due: an hour needs a day, or something it is due before.");
            return new Due(day, day.flatMap(on -> hour), Optional.empty());
        }
        return input.number("Working days before", Objects.requireNonNullElse(dueDays, ""), 0, Task.MOST_DAYS)
                .map(days -> new Due(Optional.empty(), hour, Optional.of(new Due.Before(activity.get(), days))))
                .orElse(Due.NONE);
    }

    private static Optional<String> typed(@Nullable String field) {
        return Optional.ofNullable(field).filter(text -> !text.isBlank());
    }
}
