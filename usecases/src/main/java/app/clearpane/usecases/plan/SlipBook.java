package app.clearpane.usecases.plan;

import app.clearpane.core.calendar.Timeline;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.PlanText;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Where the days of a project went since its dates were agreed on, for each of its agreements. */
@Component
public class SlipBook {
    private final Agreements agreements;
    private final TheAgency agency;
    private final Map<ProjectId, Remembered> remembered = new ConcurrentHashMap<>();

    SlipBook(Agreements agreements, TheAgency agency) {
        this.agreements = agreements;
        this.agency = agency;
    }

    private record Remembered(ProjectPlan plan, Optional<SlipLedger> ledger) {}

    /** Since the latest agreement; empty where nothing was agreed on yet. */
    public Optional<SlipLedger> latest(ProjectPlan plan) {
        if (plan.agreed().isEmpty()) {
            return Optional.empty();
        }
        Remembered known = remembered.get(plan.project().id());
        if (known == null || known.plan() != plan) {
            known = new Remembered(
                    plan,
                    agreements.ofProject(plan.project().id()).stream()
                            .findFirst()
                            .map(agreement -> since(plan, agreement, Optional.empty())));
            remembered.put(plan.project().id(), known);
        }
        return known.ledger();
    }

    /**
     * Since one agreement. What is changed of a plan on a free day counts on the next working day; what was done then
     * is known in its morning.
     *
     * @param until the day on which the next one was made, where it ends; empty for today
     */
    public SlipLedger since(ProjectPlan plan, Agreements.Agreement agreement, Optional<LocalDate> until) {
        WorkingCalendar calendar = agency.calendar();
        States states = new States(calendar);
        TreeMap<LocalDate, String> days = agreements.days(plan.project().id(), agreement.setOn());
        LocalDate last = until.orElse(plan.today());
        List<SlipLedger.State> all = new ArrayList<>();
        LocalDate worked = calendar.rollForward(agreement.setOn());
        all.add(states.stateOn(worked, agreement.plan()));
        for (LocalDate morning = next(calendar, worked);
                !morning.isAfter(until.isEmpty() ? calendar.rollForward(last) : last);
                morning = next(calendar, morning)) {
            String known = before(days, morning).orElse(agreement.plan());
            String planned = before(days, worked.plusDays(1)).orElse(agreement.plan());
            SlipLedger.State state = states.stateOn(morning, planned);
            all.add(known.equals(planned) ? state : state.knowing(states.stateOn(morning, known)));
            worked = morning;
        }
        if (until.isEmpty()) {
            PlanText now = PlanBook.text(plan);
            all.add(new SlipLedger.State(
                    calendar.rollForward(plan.today()),
                    plan.timeline(),
                    plan.forecast().network(),
                    now.holders(),
                    now.paused()));
        }
        return SlipLedger.of(all, agreement.finish());
    }

    /** The working day after a day. */
    private static LocalDate next(WorkingCalendar calendar, LocalDate day) {
        return calendar.rollForward(day.plusDays(1));
    }

    private static Optional<String> before(NavigableMap<LocalDate, String> days, LocalDate morning) {
        return Optional.ofNullable(days.lowerEntry(morning)).map(Map.Entry::getValue);
    }

    /** Kept plans, each read once. */
    private static final class States {
        private final WorkingCalendar calendar;
        private final Map<String, SlipLedger.State> read = new HashMap<>();
        private final Map<LocalDate, Map<java.util.Set<LocalDate>, Timeline>> timelines = new HashMap<>();

        States(WorkingCalendar calendar) {
            this.calendar = calendar;
        }

        SlipLedger.State stateOn(LocalDate morning, String text) {
            SlipLedger.State state = read.computeIfAbsent(text, this::state);
            return new SlipLedger.State(morning, state.timeline(), state.activities(), state.holders(), state.paused());
        }

        private SlipLedger.State state(String text) {
            PlanText plan = PlanText.read(text);
            Timeline timeline = timelines
                    .computeIfAbsent(plan.start(), none -> new HashMap<>())
                    .computeIfAbsent(
                            plan.freeDays(),
                            free -> new Timeline(
                                    new WorkingCalendar(calendar.hours(), free, calendar.zone()), plan.start()));
            return new SlipLedger.State(
                    plan.start(), timeline, new Network(plan.activities()), plan.holders(), plan.paused());
        }
    }
}
