package app.clearpane.core.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;

/** Plans for tests: named tasks from Monday 1 March 2027, a work week without holidays. */
final class Plans {
    static final LocalDate START = LocalDate.of(2027, 3, 1);
    static final Timeline LINE = new Timeline(WorkingCalendar.weekdays(ZoneOffset.UTC), START);

    private Plans() {}

    static ItemId id(String name) {
        return new ItemId(UUID.nameUUIDFromBytes(name.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    }

    static Task ours(String name, int days, String... after) {
        return task(name, Side.OURS, days, after);
    }

    static Task clients(String name, int days, String... after) {
        return task(name, Side.CLIENTS, days, after);
    }

    static Task task(String name, Side side, int days, String... after) {
        return new Task(
                id(name),
                Optional.empty(),
                name,
                side,
                new Task.Shape(
                        days,
                        Optional.empty(),
                        List.of(after).stream()
                                .map(before -> new Task.After(id(before), 0))
                                .toList(),
                        OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
    }

    static Task with(Task task, Stage stage, Task.Actual actual) {
        return new Task(task.id(), task.parent(), task.name(), task.side(), task.shape(), stage, actual);
    }

    static Task begun(Task task, LocalDate on) {
        return with(task, Stage.UNDER_WAY, new Task.Actual(Optional.of(on), Optional.empty(), Optional.empty()));
    }

    static Task done(Task task, LocalDate began, LocalDate on) {
        return with(task, Stage.DONE, new Task.Actual(Optional.of(began), Optional.of(on), Optional.empty()));
    }

    static Task in(Task task, String parent) {
        return new Task(
                task.id(),
                Optional.of(id(parent)),
                task.name(),
                task.side(),
                task.shape(),
                task.stage(),
                task.actual());
    }

    static Task shaped(Task task, int days, Optional<LocalDate> notBefore, OptionalInt effort) {
        return new Task(
                task.id(),
                task.parent(),
                task.name(),
                task.side(),
                new Task.Shape(days, notBefore, task.shape().after(), effort),
                task.stage(),
                task.actual());
    }

    /** The visitor centre: concept, photographs from the client, design after both, review, artwork, opening. */
    static List<Task> worked() {
        return List.of(
                ours("A", 5),
                clients("B", 3),
                ours("C", 8, "A", "B"),
                clients("R", 3, "C"),
                ours("Dd", 4, "R"),
                ours("M", 0, "Dd"));
    }

    /** A plan without circles, of up to this many activities. */
    static List<Task> random(Random random, int most) {
        List<Task> tasks = new ArrayList<>();
        int count = 1 + random.nextInt(most);
        for (int i = 0; i < count; i++) {
            List<Task.After> after = new ArrayList<>();
            for (int before = 0; before < i; before++) {
                if (random.nextInt(3) == 0) {
                    after.add(new Task.After(id("t" + before), random.nextInt(4) == 0 ? random.nextInt(4) : 0));
                }
            }
            boolean milestone = random.nextInt(6) == 0 && !after.isEmpty();
            tasks.add(new Task(
                    id("t" + i),
                    Optional.empty(),
                    "t" + i,
                    random.nextBoolean() ? Side.OURS : Side.CLIENTS,
                    new Task.Shape(
                            milestone ? 0 : 1 + random.nextInt(5),
                            random.nextInt(4) == 0 ? Optional.of(START.plusDays(random.nextInt(12))) : Optional.empty(),
                            after,
                            OptionalInt.empty()),
                    Stage.TO_DO,
                    Task.Actual.NONE));
        }
        return tasks;
    }
}
