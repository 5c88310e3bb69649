package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.Effort;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.usecases.shell.Input;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** A task as typed on its page. */
public record TaskForm(
        String name,
        String doer,
        String days,
        String notBefore,
        String effort,
        String phase,
        String milestone,
        String priority,
        String labels,
        String notes,
        String remaining,
        @Nullable List<String> after,
        @Nullable List<String> lag,
        String began,
        @Nullable String done,
        @Nullable String deliverable,
        @Nullable List<String> alsoPhase,
        @Nullable List<String> alsoMember,
        int revision) {
    private static final int LONGEST_NOTES = 8_000;
    private static final int MOST_LABELS = 12;
    private static final int LONGEST_LABEL = 40;

    /** The members of the team on whose desks it is to be too. */
    List<String> alsoMembers() {
        return alsoMember == null ? List.of() : alsoMember;
    }

    /** What it says, once everything could be read. */
    record Read(
            String name,
            int days,
            Optional<LocalDate> notBefore,
            Due due,
            OptionalInt effort,
            Priority priority,
            List<String> labels,
            String notes,
            String repeats,
            OptionalInt remaining,
            List<Task.After> after,
            Optional<LocalDate> began,
            Optional<LocalDate> done,
            Where where) {}

    /**
     * Where it stands.
     *
     * @param deliverable what it is a review of, if anything is said of that
     * @param alsoPhases under which it is to stand too
     */
    record Where(
            Optional<UUID> phase, Optional<ItemId> milestone, Optional<ItemId> deliverable, List<UUID> alsoPhases) {}

    /** @throws app.clearpane.usecases.shell.Refused with all that could not be read */
    Read read(Stage stage, DueForm due, AgainForm again) {
        Input input = new Input();
        Optional<app.clearpane.core.agency.Name> named = input.name("The task", name);
        Optional<Integer> length = input.number("Working days", days, 0, Task.MOST_DAYS);
        Optional<LocalDate> from = optional(input, "Not before", notBefore);
        Due until = due.read(input);
        Optional<LocalDate> beginning = optional(input, "Began", began);
        Optional<LocalDate> ended =
                stage == Stage.DONE && done != null ? optional(input, "Done", done) : Optional.empty();
        input.require(
                beginning.isEmpty() || ended.isEmpty() || !ended.get().isBefore(beginning.get()),
                "It was done before it began. Change one of the two days.");
        OptionalInt minutes = effort(input);
        Optional<Priority> pressing = input.one("Priority", priority, Priority::valueOf);
        Optional<Integer> left =
                remaining.isBlank() ? Optional.empty() : input.number("Days remaining", remaining, 0, Task.MOST_DAYS);
        List<Task.After> links = links(input);
        String text = input.text("The notes", notes, LONGEST_NOTES);
        List<String> tags = Arrays.stream(labels.split(","))
                .map(String::strip)
                .filter(label -> !label.isEmpty())
                .distinct()
                .toList();
        input.require(
                tags.size() <= MOST_LABELS && tags.stream().allMatch(label -> label.length() <= LONGEST_LABEL),
                "Labels: up to " + MOST_LABELS + ", each of up to " + LONGEST_LABEL + " characters.");
        String rule = again.rule(input);
        Where where = where(input);
        input.allGood();
        return new Read(
                named.orElseThrow().value(),
                length.orElseThrow(),
                from,
                until,
                minutes,
                pressing.orElseThrow(),
                tags,
                text,
                rule,
                left.map(OptionalInt::of).orElse(OptionalInt.empty()),
                links,
                beginning,
                ended,
                where);
    }

    private Where where(Input input) {
        List<UUID> also = (alsoPhase == null ? List.<String>of() : alsoPhase)
                .stream()
                        .flatMap(one -> chosen(input, "The other phases", one, UUID::fromString).stream())
                        .distinct()
                        .toList();
        return new Where(
                chosen(input, "The phase", phase, UUID::fromString),
                chosen(input, "The milestone", milestone, ItemId::of),
                chosen(input, "The deliverable", deliverable == null ? "" : deliverable, ItemId::of),
                also);
    }

    private static <T> Optional<T> chosen(Input input, String what, String choice, Function<String, T> reader) {
        return choice.isBlank() ? Optional.empty() : input.one(what, choice, reader);
    }

    private static Optional<LocalDate> optional(Input input, String what, String typed) {
        return typed.isBlank() ? Optional.empty() : input.day(what, typed);
    }

    private OptionalInt effort(Input input) {
        if (effort.isBlank()) {
            return OptionalInt.empty();
        }
        int minutes = Effort.minutes(effort);
        input.require(minutes > 0, "Estimate: “" + effort.strip() + "” is not a time like 2.5h or 90m.");
        return minutes > 0 ? OptionalInt.of(minutes) : OptionalInt.empty();
    }

    private List<Task.After> links(Input input) {
        List<Task.After> links = new ArrayList<>();
        List<String> ids = after == null ? List.of() : after;
        List<String> lags = lag == null ? List.of() : lag;
        for (int i = 0; i < ids.size(); i++) {
            if (!ids.get(i).isBlank()) {
                Optional<ItemId> id = input.one("What it waits for", ids.get(i), ItemId::of);
                String days = i < lags.size() && !lags.get(i).isBlank() ? lags.get(i) : "0";
                input.number("Days between", days, 0, Task.MOST_DAYS)
                        .filter(between -> id.isPresent()
                                && links.stream()
                                        .noneMatch(link -> link.predecessor().equals(id.get())))
                        .ifPresent(between -> links.add(new Task.After(id.orElseThrow(), between)));
            }
        }
        return links;
    }
}
