package app.clearpane.web.plan.team;

import app.clearpane.core.plan.DueWeek;
import app.clearpane.core.plan.PlannedTask;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;

/** By what the tasks of a plan are gathered under headings. */
enum Grouping {
    PHASE("phase"),
    PERSON("person"),
    LABEL("label"),
    DUE("due day");

    private static final Map<DueWeek, String> WEEKS = new EnumMap<>(Map.of(
            DueWeek.LATE,
            "Late",
            DueWeek.THIS_WEEK,
            "This week",
            DueWeek.NEXT_WEEK,
            "Next week",
            DueWeek.LATER,
            "Later",
            DueWeek.NO_DAY,
            "Without a day"));
    private final String words;

    Grouping(String words) {
        this.words = words;
    }

    /** What one chooses it by. */
    public String words() {
        return words;
    }

    /** The one of this name; by phase where there is none. */
    static Grouping group(String name) {
        for (Grouping one : values()) {
            if (one.name().equalsIgnoreCase(name)) {
                return one;
            }
        }
        return PHASE;
    }

    /**
     * Lines under their headings; one with several labels, or on several desks, stands under each. @param leaves in the
     * order of the plan
     */
    List<PlanLines.Group> group(List<PlanLines.Line> leaves, LocalDate today) {
        Map<String, List<PlanLines.Line>> groups = new LinkedHashMap<>();
        if (this == DUE) {
            WEEKS.values().forEach(week -> groups.put(week, new ArrayList<>()));
        }
        leaves.forEach(line -> headings(line, today)
                .forEach(heading -> groups.computeIfAbsent(heading, none -> new ArrayList<>())
                        .add(line)));
        return groups.entrySet().stream()
                .filter(group -> !group.getValue().isEmpty())
                .map(group -> new PlanLines.Group(group.getKey(), null, OptionalInt.empty(), group.getValue()))
                .toList();
    }

    private List<String> headings(PlanLines.Line line, LocalDate today) {
        return switch (this) {
            case PHASE -> List.of("");
            case PERSON ->
                Stream.concat(
                                Stream.of(
                                        !line.task().hands().name().isEmpty()
                                                ? line.task().hands().name()
                                                : line.turn().startsWith("client")
                                                        ? "The client’s, nobody named"
                                                        : "Ours, nobody named"),
                                line.task().details().also().helpers().stream().map(PlannedTask.Helper::name))
                        .toList();
            case LABEL ->
                line.task().details().labels().isEmpty()
                        ? List.of("Without a label")
                        : line.task().details().labels();
            case DUE ->
                List.of(WEEKS.get(
                        DueWeek.of(line.task().details().due(), line.stage().open(), today)));
        };
    }
}
