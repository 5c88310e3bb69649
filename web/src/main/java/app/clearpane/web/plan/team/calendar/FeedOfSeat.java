package app.clearpane.web.plan.team.calendar;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.plan.PlanForClients;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the holder of a seat has subscribed to. */
@Component
class FeedOfSeat {
    private final Viewers viewers;
    private final VisibleTasks visibleTasks;
    private final VisibleDates visibleDates;
    private final VisibleDeliverables visibleDeliverables;
    private final PlanForClients plans;
    private final TheAgency agency;

    FeedOfSeat(
            Viewers viewers,
            VisibleTasks visibleTasks,
            VisibleDates visibleDates,
            VisibleDeliverables visibleDeliverables,
            PlanForClients plans,
            TheAgency agency) {
        this.viewers = viewers;
        this.visibleTasks = visibleTasks;
        this.visibleDates = visibleDates;
        this.visibleDeliverables = visibleDeliverables;
        this.plans = plans;
        this.agency = agency;
    }

    /** What the holder of a seat sees: their tasks, the dates, what they are asked to sign. */
    List<Calendars.Entry> seen(Viewer viewer) {
        String heading = viewers.heading(viewer).project();
        List<Calendars.Entry> entries = new ArrayList<>();
        visibleTasks.all(viewer).stream()
                .filter(task -> task.yours() && task.stage() != Stage.DONE && task.due() != null)
                .forEach(task -> entries.add(FeedOf.entry(
                        task.id().value(),
                        viewer.planRevision(),
                        task.name(),
                        heading,
                        java.util.Objects.requireNonNull(task.due()),
                        task.stage() == Stage.DROPPED)));
        List<Milestone> milestones = visibleDates.milestones(viewer);
        Map<?, LocalDate> days = plans.days(viewer, milestones);
        milestones.forEach(milestone -> entries.add(FeedOf.entry(
                milestone.id().value(),
                viewer.planRevision(),
                milestone.name(),
                heading,
                days.getOrDefault(milestone.id(), milestone.fallsOn()),
                false)));
        visibleDeliverables.rounds(viewer).stream()
                .filter(Round::open)
                .filter(round -> asked(round, viewer.contact()))
                .forEach(round -> entries.add(new Calendars.Entry(
                        round.id() + "@clearpane",
                        0,
                        "Sign off: " + name(viewer, round),
                        heading,
                        LocalDate.ofInstant(round.dueAt(), agency.get().zone()),
                        Optional.of(round.dueAt()),
                        false)));
        return entries;
    }

    private String name(Viewer viewer, Round round) {
        return visibleDeliverables
                .version(viewer, round.version())
                .flatMap(version -> visibleDeliverables.find(viewer, version.deliverable()))
                .map(VisibleDeliverables.Row::name)
                .orElse("");
    }

    private static boolean asked(Round round, ContactId contact) {
        return round.signatories().stream().anyMatch(one -> one.contact().equals(contact))
                && round.saidBy(contact).isEmpty();
    }
}
