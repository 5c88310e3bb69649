package app.clearpane.usecases.plan.task;

import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Task;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;

/** What differs between a task and the same task changed, for the Record. */
final class TaskDifferences {
    private TaskDifferences() {}

    static Map<String, Object> between(PlannedTask before, PlannedTask after) {
        Map<String, Object> changes = new LinkedHashMap<>();
        Task.Shape was = before.task().shape();
        Task.Shape is = after.task().shape();
        note(changes, "called", before.name(), after.name());
        note(changes, "days", was.days(), is.days());
        note(
                changes,
                "notBefore",
                was.notBefore().map(Object::toString).orElse("none"),
                is.notBefore().map(Object::toString).orElse("none"));
        note(changes, "due", due(before), due(after));
        note(changes, "side", before.task().side(), after.task().side());
        note(changes, "doneBy", before.hands().name(), after.hands().name());
        note(changes, "waitsFor", was.after().size(), is.after().size());
        note(changes, "priority", before.details().priority(), after.details().priority());
        note(
                changes,
                "remaining",
                before.task()
                        .actual()
                        .remaining()
                        .map(left -> String.valueOf(left.days()))
                        .orElse("none"),
                after.task()
                        .actual()
                        .remaining()
                        .map(left -> String.valueOf(left.days()))
                        .orElse("none"));
        return changes;
    }

    /** "2027-03-24 15:00", "3 working days before another task begins", or "none". */
    private static String due(PlannedTask task) {
        Due by = task.details().by();
        String hour = by.hour().map(at -> " " + at).orElse("");
        return by.before()
                .map(rule -> rule.days() + " working days before another task begins" + hour)
                .orElseGet(() -> by.day().map(day -> day + hour).orElse("none"));
    }

    private static void note(Map<String, Object> changes, String what, Object was, Object is) {
        if (!Objects.equals(was, is)) {
            changes.put(what, is);
        }
    }
}
