package app.clearpane.formats.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a plan was when a day ended, as JSON, so that what moved its finish can be computed later.
 *
 * @param start the project's start
 * @param freeDays holidays as they were known
 * @param paused whether the project rested
 * @param activities what was to be done, with what was known of it
 * @param holders who held each; what is missing was ours
 */
public record PlanText(
        LocalDate start, Set<LocalDate> freeDays, boolean paused, List<Task> activities, Map<ItemId, Side> holders) {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    public PlanText {
        freeDays = Set.copyOf(freeDays);
        activities = List.copyOf(activities);
        holders = Map.copyOf(holders);
    }

    /** As JSON. */
    public String write() {
        ObjectNode plan = JSON.createObjectNode();
        plan.put("start", start.toString()).put("paused", paused);
        ArrayNode free = plan.putArray("free");
        freeDays.stream().sorted().forEach(day -> free.add(day.toString()));
        ArrayNode tasks = plan.putArray("activities");
        activities.forEach(task -> write(task, tasks.addObject()));
        return JSON.writeValueAsString(plan);
    }

    private void write(Task task, ObjectNode node) {
        node.put("id", task.id().toString())
                .put("name", task.name())
                .put("side", task.side().name())
                .put("stage", task.stage().name())
                .put("days", task.shape().days());
        task.shape().notBefore().ifPresent(day -> node.put("notBefore", day.toString()));
        task.shape().effortMinutes().ifPresent(minutes -> node.put("effort", minutes));
        if (!task.shape().after().isEmpty()) {
            ObjectNode after = node.putObject("after");
            task.shape().after().forEach(link -> after.put(link.predecessor().toString(), link.lagDays()));
        }
        task.actual().began().ifPresent(day -> node.put("began", day.toString()));
        task.actual().done().ifPresent(day -> node.put("done", day.toString()));
        task.actual().remaining().ifPresent(left -> node.put("remaining", left.days())
                .put("saidOn", left.saidOn().toString()));
        Optional.ofNullable(holders.get(task.id())).ifPresent(holder -> node.put("holder", holder.name()));
    }

    /**
     * Reads it back.
     *
     * @throws IllegalArgumentException if the text is not what {@link #write} writes
     */
    public static PlanText read(String text) {
        try {
            JsonNode plan = JSON.readTree(text);
            Set<LocalDate> free = new HashSet<>();
            plan.path("free").forEach(day -> free.add(LocalDate.parse(day.stringValue())));
            List<Task> activities = new ArrayList<>();
            Map<ItemId, Side> holders = new HashMap<>();
            for (JsonNode node : plan.path("activities")) {
                Task task = task(node);
                activities.add(task);
                if (node.has("holder")) {
                    holders.put(task.id(), Side.valueOf(node.get("holder").stringValue()));
                }
            }
            return new PlanText(
                    LocalDate.parse(plan.path("start").stringValue()),
                    free,
                    plan.path("paused").asBoolean(),
                    activities,
                    holders);
        } catch (RuntimeException unreadable) {
            throw new IllegalArgumentException("not a kept plan: " + unreadable.getMessage(), unreadable);
        }
    }

    private static Task task(JsonNode node) {
        List<Task.After> after = new ArrayList<>();
        node.path("after")
                .properties()
                .forEach(link -> after.add(
                        new Task.After(ItemId.of(link.getKey()), link.getValue().intValue())));
        Task.Shape shape = new Task.Shape(
                node.get("days").intValue(),
                day(node, "notBefore"),
                after,
                node.has("effort") ? OptionalInt.of(node.get("effort").intValue()) : OptionalInt.empty());
        Task.Actual actual = new Task.Actual(
                day(node, "began"),
                day(node, "done"),
                day(node, "saidOn")
                        .map(said -> new Task.Remaining(node.get("remaining").intValue(), said)));
        return new Task(
                ItemId.of(node.get("id").stringValue()),
                Optional.empty(),
                node.get("name").stringValue(),
                Side.valueOf(node.get("side").stringValue()),
                shape,
                Stage.valueOf(node.get("stage").stringValue()),
                actual);
    }

    private static Optional<LocalDate> day(JsonNode node, String name) {
        return node.has(name) ? Optional.of(LocalDate.parse(node.get(name).stringValue())) : Optional.empty();
    }
}
