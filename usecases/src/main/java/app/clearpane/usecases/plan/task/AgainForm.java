package app.clearpane.usecases.plan.task;

import app.clearpane.core.plan.ComesAgain;
import app.clearpane.formats.plan.Repeats;
import app.clearpane.usecases.shell.Input;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How often a task comes again, as chosen on its page.
 *
 * @param again DAY, WEEK, MONTH or YEAR, RULE for a rule of a calendar, or nothing for once
 * @param on the days of the week
 * @param nth which of {@code weekday} in a month, or nothing for the same day of the month
 * @param repeats a rule as calendars know it
 */
public record AgainForm(
        @Nullable String again,
        @Nullable String every,
        @Nullable List<String> on,
        @Nullable String nth,
        @Nullable String weekday,
        @Nullable String until,
        @Nullable String repeats) {
    private static final int MOST = 366;
    /** A task that does not come again. */
    static final AgainForm ONCE = new AgainForm(null, null, null, null, null, null, null);

    /** What stands on the page of a task with this rule. */
    public static AgainForm of(String rule) {
        Optional<ComesAgain> known = rule.isEmpty() ? Optional.empty() : ComesAgain.of(rule);
        if (known.isEmpty()) {
            return new AgainForm(rule.isEmpty() ? "" : "RULE", "1", List.of(), "", "", "", rule);
        }
        ComesAgain said = known.get();
        List<String> days = said.days().stream().map(DayOfWeek::name).toList();
        boolean ofMonth = said.nth().isPresent();
        return new AgainForm(
                said.unit().name(),
                String.valueOf(said.every()),
                ofMonth ? List.of() : days,
                ofMonth ? String.valueOf(said.nth().getAsInt()) : "",
                ofMonth ? days.get(0) : "",
                said.until().map(LocalDate::toString).orElse(""),
                rule);
    }

    /** In words; empty for once. */
    public String inWords() {
        String rule = Objects.requireNonNullElse(repeats, "");
        return rule.isEmpty()
                ? ""
                : ComesAgain.of(rule).map(ComesAgain::inWords).orElse("by a rule of its own");
    }

    /** As a recurrence rule; empty for once. */
    String rule(Input input) {
        String unit = Objects.requireNonNullElse(again, "").strip();
        if (unit.isEmpty()) {
            return "";
        }
        if (unit.equals("RULE")) {
            return ofCalendar(input);
        }
        Optional<ComesAgain.Unit> known = input.one("Comes again", unit, ComesAgain.Unit::valueOf);
        Optional<Integer> often =
                input.number("Comes again every", every == null || every.isBlank() ? "1" : every, 1, MOST);
        Optional<LocalDate> last =
                until == null || until.isBlank() ? Optional.empty() : input.day("Comes again until", until);
        String nthTyped = Objects.requireNonNullElse(nth, "");
        boolean ofMonth = known.filter(ComesAgain.Unit.MONTH::equals).isPresent() && !nthTyped.isBlank();
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        if (known.filter(ComesAgain.Unit.WEEK::equals).isPresent()) {
            (on == null ? List.<String>of() : on)
                    .forEach(day -> input.one("The days of the week", day, DayOfWeek::valueOf)
                            .ifPresent(days::add));
        } else if (ofMonth) {
            input.one("The day of the week", Objects.requireNonNullElse(weekday, ""), DayOfWeek::valueOf)
                    .ifPresent(days::add);
        }
        Optional<Integer> which =
                ofMonth ? input.one("Which of them in the month", nthTyped, Integer::valueOf) : Optional.empty();
        if (known.isEmpty() || often.isEmpty() || ofMonth && (which.isEmpty() || days.isEmpty())) {
            return "";
        }
        return input.one(
                        "Which of them in the month",
                        nthTyped,
                        typed -> new ComesAgain(
                                known.get(),
                                often.get(),
                                days,
                                which.map(OptionalInt::of).orElse(OptionalInt.empty()),
                                last))
                .map(ComesAgain::rule)
                .orElse("");
    }

    private String ofCalendar(Input input) {
        String typed = Objects.requireNonNullElse(repeats, "").strip();
        String rule = typed.toUpperCase(Locale.ROOT).replaceFirst("^RRULE:", "");
        try {
            return rule.isEmpty() ? "" : Repeats.checked(rule);
        } catch (IllegalArgumentException unreadable) {
            input.require(false, "Comes again: “" + typed + "” is not a rule like FREQ=WEEKLY;BYDAY=FR.");
            return "";
        }
    }
}
