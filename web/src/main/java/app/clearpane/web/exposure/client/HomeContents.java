package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.plan.PlanForClients;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a contact’s home is made of, read of all their panes at once: as many statements for forty as for two. */
@Component
class HomeContents {
    private final PaneWorks works;
    private final VisibleTasks tasks;
    private final VisiblePapers papers;
    private final VisibleRequests requests;
    private final VisibleDates dates;
    private final VisibleFiles files;
    private final PlanForClients plans;

    HomeContents(
            PaneWorks works,
            VisibleTasks tasks,
            VisiblePapers papers,
            VisibleRequests requests,
            VisibleDates dates,
            VisibleFiles files,
            PlanForClients plans) {
        this.works = works;
        this.tasks = tasks;
        this.papers = papers;
        this.requests = requests;
        this.dates = dates;
        this.files = files;
        this.plans = plans;
    }

    /** What comes next in a project. @param day as it is forecast */
    record Next(String name, LocalDate day) {}

    /**
     * What is seen at one pane.
     *
     * @param yours the tasks that wait for the reader
     * @param next the milestone that comes next; empty where none is to come
     * @param files how many there are
     */
    record AtPane(
            List<PaneWorks.Shown> deliverables,
            List<VisibleTasks.Waiting> yours,
            PaneByName.Addressed byName,
            Optional<Next> next,
            int files) {
        /** What awaits the reader's decision. */
        List<PaneWorks.Shown> waiting() {
            return PaneWorks.toDecide(deliverables);
        }

        /** What awaits the reader's ruling and nothing else of theirs. */
        List<PaneWorks.Shown> toSettle() {
            return PaneWorks.toSettle(deliverables);
        }

        /** How many deliverables there are to look at. */
        int works() {
            return (int)
                    deliverables.stream().filter(one -> one.version() != null).count();
        }

        /** The names of what was released. */
        List<String> released() {
            return deliverables.stream()
                    .filter(one -> one.deliverable().released())
                    .map(one -> one.deliverable().name())
                    .toList();
        }
    }

    Map<PaneId, AtPane> read(AllPanes all) {
        if (all.none()) {
            return Map.of();
        }
        Map<PaneId, List<PaneWorks.Shown>> shown = works.everywhere(all);
        Map<PaneId, List<VisibleTasks.Waiting>> given = tasks.everywhere(all);
        Map<ProjectId, List<Paper>> sent = papers.everywhere(all);
        Map<ProjectId, List<Request>> asked = requests.everywhere(all);
        Map<PaneId, List<Milestone>> ahead = dates.everywhere(all);
        Map<PaneId, Integer> counts = files.count(all);
        Map<ItemId, LocalDate> days = plans.days(all, ahead);
        Map<PaneId, AtPane> read = new HashMap<>();
        for (Viewer viewer : all.viewers()) {
            PaneId pane = viewer.pane();
            read.put(
                    pane,
                    new AtPane(
                            shown.getOrDefault(pane, List.of()),
                            viewer.rest().isPresent() ? List.of() : given.getOrDefault(pane, List.of()),
                            new PaneByName.Addressed(
                                    sent.getOrDefault(viewer.project(), List.of()),
                                    asked.getOrDefault(viewer.project(), List.of())),
                            ahead.getOrDefault(pane, List.of()).stream()
                                    .findFirst()
                                    .map(one -> new Next(one.name(), days.getOrDefault(one.id(), one.fallsOn()))),
                            counts.getOrDefault(pane, 0)));
        }
        return read;
    }
}
