package app.clearpane.web.desk.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.SlipLedger;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Projects on one time axis, drawn on a width of 1,000: who held the head of each plan, what is forecast, what was
 * agreed.
 */
final class ProjectStrips {
    private static final double WIDTH = 1_000;
    private final LocalDate today;
    private final LocalDate first;
    private final long days;

    ProjectStrips(String span, LocalDate today) {
        this.today = today;
        int back = span.equals("month") ? 10 : span.equals("year") ? 120 : 60;
        this.days = span.equals("month") ? 38 : span.equals("year") ? 400 : 140;
        this.first = today.minusDays(back);
    }

    /** Days held by one side. */
    public record Segment(String side, double x, double width) {}

    /** The name of a month and where it begins. */
    public record Tick(String name, double x) {}

    /** One project's strip; what lies outside the axis is cut off. */
    public record Strip(List<Segment> segments, double forecastX, double forecastWidth, double agreed, double finish) {}

    double x(LocalDate day) {
        return WIDTH * ChronoUnit.DAYS.between(first, day) / days;
    }

    private double within(double x) {
        return Math.max(0, Math.min(WIDTH, x));
    }

    Strip draw(ProjectPlan plan, Optional<SlipLedger> ledger) {
        LocalDate start = plan.project().startsOn();
        LocalDate end = (plan.isPlanned() ? plan.finish() : plan.agreedFinish()).plusDays(1);
        LocalDate now = today.isBefore(start) ? start : today.isAfter(end) ? end : today;
        double from = within(x(now));
        return new Strip(
                held(start, now, ledger),
                from,
                within(x(end)) - from,
                x(plan.agreedFinish().plusDays(1)),
                x(end));
    }

    /** From the start to today; days before anything was agreed on are ours. */
    private List<Segment> held(LocalDate start, LocalDate now, Optional<SlipLedger> ledger) {
        List<Segment> segments = new ArrayList<>();
        LocalDate from = start;
        Side side = Side.OURS;
        for (SlipLedger.Day day : ledger.map(SlipLedger::days).orElse(List.of())) {
            if (day.holder() != side && day.on().isBefore(now)) {
                add(segments, side, from, day.on());
                from = day.on().isBefore(from) ? from : day.on();
                side = day.holder();
            }
        }
        add(segments, side, from, now);
        return segments;
    }

    private void add(List<Segment> segments, Side side, LocalDate from, LocalDate to) {
        double left = within(x(from));
        double right = within(x(to));
        if (right > left) {
            segments.add(new Segment(side == Side.OURS ? "ours" : "client", left, right - left));
        }
    }

    /** The months. */
    List<Tick> ticks() {
        List<Tick> ticks = new ArrayList<>();
        LocalDate last = first.plusDays(days);
        for (LocalDate month = first.withDayOfMonth(1); month.isBefore(last); month = month.plusMonths(1)) {
            double x = x(month);
            if (x >= 0 && x < WIDTH - 20) {
                ticks.add(new Tick(
                        month.getMonth()
                                        .getDisplayName(TextStyle.SHORT, Locale.UK)
                                        .replace("Sept", "Sep")
                                + (month.getMonthValue() == 1 ? " " + month.getYear() : ""),
                        x));
            }
        }
        return ticks;
    }
}
