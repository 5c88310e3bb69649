package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleConcerns;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.store.project.client.VisibleWords;
import app.clearpane.usecases.plan.PlanForClients;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What a viewer sees through a pane, of every kind. It is kept as long as nothing is written to the house: the viewer
 * is made anew with each request, and what was read before the latest write is read again.
 */
@Component
class PaneContents {
    private final VisibleTasks tasks;
    private final VisibleConcerns concerns;
    private final VisibleFiles files;
    private final PaneByName byName;
    private final PaneAbout about;
    private final PanePlan plan;
    private final PaneWorks works;

    PaneContents(
            VisibleTasks tasks,
            VisibleConcerns concerns,
            VisibleFiles files,
            PaneByName byName,
            PaneAbout about,
            PanePlan plan,
            PaneWorks works) {
        this.works = works;
        this.plan = plan;
        this.about = about;
        this.tasks = tasks;
        this.concerns = concerns;
        this.files = files;
        this.byName = byName;
    }

    /**
     * All of it.
     *
     * @param about what the project says of itself
     * @param days the day of each milestone, as it is forecast
     * @param others the other panes through which the same person sees the project
     */
    record Contents(
            Viewers.Heading heading,
            VisibleWords.About about,
            List<PaneWorks.Shown> deliverables,
            PlanForClients.HowFar howFar,
            VisibleDates.Dates dates,
            Map<ItemId, LocalDate> days,
            List<VisibleTasks.Row> tasks,
            List<VisibleConcerns.Row> concerns,
            List<ProjectFile> files,
            PaneByName.Addressed byName,
            List<Viewers.Other> others) {
        /** What awaits the viewer's decision. */
        public List<PaneWorks.Shown> waiting() {
            return PaneWorks.toDecide(deliverables);
        }

        /** What awaits the viewer's ruling and nothing else of theirs. */
        public List<PaneWorks.Shown> toSettle() {
            return PaneWorks.toSettle(deliverables);
        }

        /** The tasks that do not await the viewer, and those they have done. */
        public List<VisibleTasks.Row> otherTasks() {
            return tasks.stream()
                    .filter(task -> !task.yours() || !task.stage().open())
                    .toList();
        }

        /** What can be looked at: what is being made still has nothing to look at. */
        public List<PaneWorks.Shown> works() {
            return deliverables.stream().filter(one -> one.version() != null).toList();
        }

        /** How many things await the viewer, of every sort. */
        public int waitingCount(Viewer viewer) {
            return waiting().size()
                    + toSettle().size()
                    + yourTasks().size()
                    + byName.waitingPapers(viewer).size()
                    + byName.waitingRequests(viewer).size();
        }

        /** The tasks that await the viewer. */
        public List<VisibleTasks.Row> yourTasks() {
            return tasks.stream()
                    .filter(task -> task.yours() && task.stage().open())
                    .toList();
        }
    }

    /** What a viewer sees. */
    Contents read(Viewer viewer) {
        PaneAbout.Around around = about.read(viewer);
        PanePlan.Seen seen = plan.read(viewer);
        return new Contents(
                around.heading(),
                around.about(),
                works.read(viewer),
                seen.howFar(),
                seen.dates(),
                seen.days(),
                tasks.all(viewer),
                concerns.all(viewer),
                files.all(viewer),
                byName.read(viewer),
                around.others());
    }
}
