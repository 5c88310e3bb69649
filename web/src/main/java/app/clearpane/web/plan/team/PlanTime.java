package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnLedger;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A plan over its days, drawn on a width of 1,000: what was agreed, who held what, what is forecast, what waits for
 * what.
 */
final class PlanTime {
    private static final double WIDTH = 1_000;
    private static final int ROW = 30;
    private static final int HEADING = 34;
    private final ProjectPlan plan;
    private final Map<ItemId, TurnLedger> ledgers;
    private final ZoneId zone;
    private final LocalDate first;
    private final long days;

    PlanTime(ProjectPlan plan, Map<ItemId, TurnLedger> ledgers, ZoneId zone) {
        this.plan = plan;
        this.ledgers = ledgers;
        this.zone = zone;
        LocalDate earliest = plan.project().startsOn();
        LocalDate latest = plan.agreedFinish().isAfter(plan.finish()) ? plan.agreedFinish() : plan.finish();
        for (Task task : plan.forecast().network().activities()) {
            LocalDate start = plan.firstDay(task.id());
            earliest = start.isBefore(earliest) ? start : earliest;
        }
        first = earliest;
        days = ChronoUnit.DAYS.between(first, latest) + 4;
    }

    /** A stretch held by one side. */
    record Held(String side, double x, double width) {}

    /** A bracket below a bar: the days agreed on. */
    record Bracket(double x, double width) {}

    /**
     * A row of the drawing.
     *
     * @param held what was, by who held it
     * @param forecastX where what is forecast begins
     * @param from the first day it may be dragged from, and its days as they are now
     */
    record Row(
            PlanLines.Line line,
            int y,
            List<Held> held,
            double forecastX,
            double forecastWidth,
            @Nullable Bracket agreed,
            LocalDate from,
            LocalDate to,
            boolean movable) {}

    /** A heading above rows. */
    record Heading(String name, int y) {}

    /** A milestone: where it was agreed to be, and where it is forecast. */
    record Diamond(
            Milestone milestone,
            int y,
            @Nullable Double agreedX,
            double x,
            LocalDate day,
            boolean reached,
            boolean critical,
            int behind) {}

    /** A line from what comes before to what waits. */
    record Link(String path, boolean critical) {}

    /** A day of the axis. */
    record Tick(String name, double x) {}

    /** All of it. */
    record Drawing(
            List<Heading> headings,
            List<Row> rows,
            List<Diamond> diamonds,
            List<Link> links,
            List<Tick> ticks,
            double today,
            double agreedFinish,
            int height,
            LocalDate first,
            long days) {}

    Drawing draw(List<PlanLines.Group> groups) {
        List<Heading> headings = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        int y = 34;
        for (PlanLines.Group group : groups) {
            List<PlanLines.Line> drawn = group.lines().stream()
                    .filter(line -> line.stage() != Stage.DROPPED && !line.again())
                    .toList();
            if (drawn.isEmpty()) {
                continue;
            }
            headings.add(new Heading(group.name(), y));
            y += HEADING;
            for (PlanLines.Line line : drawn) {
                rows.add(row(line, y));
                y += ROW;
            }
        }
        List<Diamond> diamonds = new ArrayList<>();
        if (!plan.milestones().isEmpty()) {
            headings.add(new Heading("Milestones", y));
            y += HEADING;
            for (Milestone milestone : plan.milestones()) {
                diamonds.add(diamond(milestone, y));
                y += ROW;
            }
        }
        return new Drawing(
                headings,
                rows,
                diamonds,
                links(rows, diamonds),
                ticks(),
                x(plan.today()),
                x(plan.agreedFinish().plusDays(1)),
                y + 20,
                first,
                days);
    }

    private double x(LocalDate day) {
        return WIDTH * ChronoUnit.DAYS.between(first, day) / days;
    }

    private Row row(PlanLines.Line line, int y) {
        ItemId id = line.task().id();
        LocalDate from = plan.firstDay(id);
        LocalDate end = plan.lastDay(id).plusDays(1);
        LocalDate turn = line.stage() == Stage.DONE
                ? end
                : plan.today().isBefore(from) ? from : plan.today().isAfter(end) ? end : plan.today();
        boolean begun =
                !line.gathers() && line.task().task().actual().began().isPresent() || line.stage() == Stage.DONE;
        LocalDate forecastFrom = begun ? turn : from;
        List<Held> held = begun ? held(line, from, forecastFrom) : List.of();
        return new Row(
                line,
                y,
                held,
                x(forecastFrom),
                Math.max(0, x(end) - x(forecastFrom)),
                agreed(id),
                from,
                end.minusDays(1),
                !line.gathers() && line.stage().open());
    }

    /** Who held it, between its first day and today; in the night before a working day nobody minds. */
    private List<Held> held(PlanLines.Line line, LocalDate from, LocalDate until) {
        TurnLedger ledger = ledgers.get(line.task().id());
        List<Held> held = new ArrayList<>();
        if (ledger == null) {
            return held;
        }
        Instant last = until.atStartOfDay(zone).toInstant();
        for (TurnLedger.Stretch stretch : ledger.stretches(
                last.isAfter(ledger.created())
                        ? last.isAfter(lastEvent(ledger)) ? last : lastEvent(ledger)
                        : lastEvent(ledger))) {
            LocalDate start = LocalDate.ofInstant(stretch.from(), zone);
            LocalDate begins = start.isBefore(from) ? from : start;
            LocalDate ends = LocalDate.ofInstant(stretch.to(), zone);
            LocalDate stops = ends.isAfter(until) ? until : ends;
            if (stretch.holder() != Turn.NOBODYS && stops.isAfter(begins)) {
                held.add(new Held(stretch.holder() == Turn.OURS ? "ours" : "client", x(begins), x(stops) - x(begins)));
            }
        }
        if (held.isEmpty() && until.isAfter(from)) {
            held.add(new Held(
                    line.task().task().side() == app.clearpane.core.plan.Side.OURS ? "ours" : "client",
                    x(from),
                    x(until) - x(from)));
        } else if (!held.isEmpty()) {
            Held tail = held.get(held.size() - 1);
            held.set(held.size() - 1, new Held(tail.side(), tail.x(), Math.max(tail.width(), x(until) - tail.x())));
        }
        return held;
    }

    private static Instant lastEvent(TurnLedger ledger) {
        return ledger.events().isEmpty()
                ? ledger.created()
                : ledger.events().get(ledger.events().size() - 1).at();
    }

    private @Nullable Bracket agreed(ItemId id) {
        return plan.agreed()
                .filter(then -> then.plan().has(id))
                .map(then -> {
                    double start = x(then.plan().timeline().day(then.plan().start(id)));
                    return new Bracket(
                            start,
                            x(then.plan()
                                            .timeline()
                                            .lastDay(then.plan().finish(id))
                                            .plusDays(1))
                                    - start);
                })
                .orElse(null);
    }

    private Diamond diamond(Milestone milestone, int y) {
        LocalDate day = plan.lastDay(milestone.id());
        Double agreed = plan.agreed()
                .filter(then -> then.plan().has(milestone.id()))
                .map(then -> x(then.plan()
                        .timeline()
                        .lastDay(then.plan().finish(milestone.id()))
                        .plusDays(1)))
                .orElse(null);
        return new Diamond(
                milestone,
                y,
                agreed,
                x(day.plusDays(1)),
                day,
                plan.forecast().isDone(milestone.id()),
                plan.critical().contains(milestone.id()),
                plan.behind(milestone.id()));
    }

    private List<Link> links(List<Row> rows, List<Diamond> diamonds) {
        Map<ItemId, double[]> ends = new HashMap<>();
        rows.forEach(row -> ends.put(row.line().task().id(), new double[] {
            row.forecastX() + row.forecastWidth(),
            row.y() + 10,
            row.held().isEmpty() ? row.forecastX() : row.held().get(0).x()
        }));
        diamonds.forEach(one -> ends.put(one.milestone().id(), new double[] {one.x(), one.y() + 10, one.x() - 8}));
        List<Link> links = new ArrayList<>();
        for (Task task : plan.forecast().network().activities()) {
            double[] to = ends.get(task.id());
            for (Task.After link : task.shape().after()) {
                double[] from = ends.get(link.predecessor());
                if (to != null && from != null) {
                    boolean critical = plan.critical().contains(task.id())
                            && plan.critical().contains(link.predecessor());
                    links.add(new Link(
                            String.format(
                                    Locale.ROOT,
                                    "M%.1f %.1fH%.1fV%.1fH%.1f",
                                    from[0],
                                    from[1],
                                    Math.max(from[0] + 5, to[2] - 6),
                                    to[1],
                                    to[2]),
                            critical));
                }
            }
        }
        return links;
    }

    private List<Tick> ticks() {
        List<Tick> ticks = new ArrayList<>();
        int step = days > 900 ? 92 : days > 240 ? 28 : days > 100 ? 14 : 7;
        LocalDate monday = first.with(java.time.temporal.TemporalAdjusters.nextOrSame(java.time.DayOfWeek.MONDAY));
        int month = -1;
        for (LocalDate day = monday; x(day) < WIDTH - 12; day = day.plusDays(step)) {
            boolean named = day.getMonthValue() != month;
            month = day.getMonthValue();
            ticks.add(new Tick(
                    day.getDayOfMonth()
                            + (named
                                    ? " "
                                            + day.getMonth()
                                                    .getDisplayName(TextStyle.SHORT, Locale.UK)
                                                    .replace("Sept", "Sep")
                                    : ""),
                    x(day)));
        }
        return ticks;
    }
}
