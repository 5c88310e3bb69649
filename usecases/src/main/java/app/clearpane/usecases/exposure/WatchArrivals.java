package app.clearpane.usecases.exposure;

import app.clearpane.core.calendar.Today;
import app.clearpane.core.exposure.Arrivals;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.jobs.DayTurns;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.TheAgency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Writes into the Record what comes into view, or goes out of it, without anybody having shown it or held it back (V5).
 */
@Component
public class WatchArrivals implements DayTurns {
    /** More things than this that come or go at one pane at once are told in one entry. */
    private static final int MOST_ALONE = 20;

    private final Projects projects;
    private final Items items;
    private final Panes panes;
    private final ReasonWords reasons;
    private final AuditLog audit;
    private final TheAgency agency;

    WatchArrivals(Projects projects, Items items, Panes panes, ReasonWords reasons, AuditLog audit, TheAgency agency) {
        this.projects = projects;
        this.items = items;
        this.panes = panes;
        this.reasons = reasons;
        this.audit = audit;
        this.agency = agency;
    }

    /**
     * Call it before anything is changed: when the transaction is about to end, what came and went since then is
     * written down. Once in a transaction is enough.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void watch(ProjectId project, Actor by) {
        if (watched(project) == null) {
            TransactionSynchronizationManager.registerSynchronization(new Watched(project, by, view(project)));
        }
    }

    /**
     * Says first who will see something at once, where somebody will.
     *
     * @param sure whether that was confirmed
     * @param button what confirming does
     * @throws NeedsConfirmation if it was not; the transaction is undone
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void sayFirst(ProjectId project, boolean sure, String button) {
        Watched watched = watched(project);
        if (watched == null) {
            throw new IllegalStateException("nothing is watched in " + project);
        }
        List<Arrivals.Change> came =
                Arrivals.between(watched.before, view(project)).came();
        if (!sure && !came.isEmpty()) {
            Map<String, List<String>> byPane = came.stream()
                    .collect(Collectors.groupingBy(
                            change -> change.pane().name(),
                            LinkedHashMap::new,
                            Collectors.mapping(change -> "“" + change.item().name() + "”", Collectors.toList())));
            throw new NeedsConfirmation(
                    byPane.entrySet().stream()
                            .map(pane -> pane.getKey() + " will see " + some(pane.getValue()) + " at once.")
                            .toList(),
                    button);
        }
    }

    private static String some(List<String> names) {
        return names.size() <= 3
                ? String.join(", ", names)
                : String.join(", ", names.subList(0, 3)) + " and " + (names.size() - 3) + " more";
    }

    private static @org.jspecify.annotations.Nullable Watched watched(ProjectId project) {
        return TransactionSynchronizationManager.getSynchronizations().stream()
                .filter(one -> one instanceof Watched watched && watched.project.equals(project))
                .map(Watched.class::cast)
                .findFirst()
                .orElse(null);
    }

    private Arrivals.View view(ProjectId project) {
        List<Pane> open = published(project);
        return open.isEmpty()
                ? new Arrivals.View(Map.of())
                : Arrivals.View.of(items.forAnybody(project), open, agency.now());
    }

    private List<Pane> published(ProjectId project) {
        return panes.withSettings(project).stream()
                .filter(pane -> pane.publishedAt().isPresent())
                .toList();
    }

    /** Writes down what came and went because one day has become another: what is late now, what is due soon. */
    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public void turned(Today from, Today to) {
        Stream.concat(projects.active().stream(), projects.archived().stream())
                .forEach(project -> turned(project.id(), from, to));
    }

    private void turned(ProjectId project, Today from, Today to) {
        List<Pane> byTheDay =
                published(project).stream().filter(Pane::goesByTheDay).toList();
        if (!byTheDay.isEmpty()) {
            write(
                    project,
                    new Actor.House(agency.get().name()),
                    Arrivals.between(
                            Arrivals.View.of(items.forAnybody(project, from), byTheDay, agency.now()),
                            Arrivals.View.of(items.forAnybody(project, to), byTheDay, agency.now())));
        }
    }

    private void write(ProjectId project, Actor by, Arrivals arrivals) {
        write(project, by, Act.ITEM_ARRIVED_SHOWN, arrivals.came());
        write(project, by, Act.ITEM_LEFT_VIEW, arrivals.went());
    }

    private void write(ProjectId project, Actor by, Act act, List<Arrivals.Change> changes) {
        changes.stream()
                .collect(Collectors.groupingBy(Arrivals.Change::pane, LinkedHashMap::new, Collectors.toList()))
                .forEach((pane, here) -> {
                    if (here.size() > MOST_ALONE) {
                        audit.append(
                                project,
                                pane.id().value(),
                                new ShowingActs.ThingsCameOrWent(
                                        act,
                                        by,
                                        pane.name(),
                                        here.stream()
                                                .map(one -> one.item().name())
                                                .toList(),
                                        reasons.inWords(here.get(0).verdict())));
                    } else {
                        here.forEach(one -> audit.append(
                                project,
                                one.item().id().value(),
                                new ShowingActs.ThingCameOrWent(
                                        act,
                                        by,
                                        one.item().name(),
                                        pane.name(),
                                        one.item().kind(),
                                        reasons.inWords(one.verdict()))));
                    }
                });
    }

    private final class Watched implements TransactionSynchronization {
        private final ProjectId project;
        private final Actor by;
        private final Arrivals.View before;

        Watched(ProjectId project, Actor by, Arrivals.View before) {
            this.project = project;
            this.by = by;
            this.before = before;
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            write(project, by, Arrivals.between(before, view(project)));
        }
    }

    /** The names of the panes at which a deleted thing is seen at once if it is brought back. */
    public List<String> ifBroughtBack(ProjectId project, app.clearpane.core.exposure.ItemId id) {
        List<Item> found = items.forAnybody(project).stream()
                .filter(item -> item.id().equals(id))
                .toList();
        return found.stream()
                .flatMap(item -> Arrivals.ifBroughtBack(item, panes.withSettings(project), agency.now()).stream())
                .map(Pane::name)
                .toList();
    }
}
