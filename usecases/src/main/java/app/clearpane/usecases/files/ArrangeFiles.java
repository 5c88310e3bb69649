package app.clearpane.usecases.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.FolderTree;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Deletes files, brings them back, and moves them between folders. */
@Component
public class ArrangeFiles {
    private final ProjectFiles files;
    private final Projects projects;
    private final Items items;
    private final DeleteItem deleteItem;
    private final WatchArrivals arrivals;
    private final AuditLog audit;

    ArrangeFiles(
            ProjectFiles files,
            Projects projects,
            Items items,
            DeleteItem deleteItem,
            WatchArrivals arrivals,
            AuditLog audit) {
        this.files = files;
        this.projects = projects;
        this.items = items;
        this.deleteItem = deleteItem;
        this.arrivals = arrivals;
        this.audit = audit;
    }

    /** Deletes a file; it can be brought back. */
    @Transactional
    public ProjectId delete(ItemId id, Actor by) {
        return change(files.find(id), id, by, Act.FILE_DELETED, () -> deleteItem.delete(id, by));
    }

    /** Brings a deleted file back. */
    @Transactional
    public ProjectId restore(ItemId id, boolean sure, Actor by) {
        return change(files.findDeleted(id), id, by, Act.FILE_RESTORED, () -> deleteItem.restore(id, sure, by));
    }

    /**
     * Moves files of a project into another folder.
     *
     * @param folder empty for none
     * @param sure whether it was said who will see them at once, and confirmed
     */
    @Transactional
    public void move(ProjectId project, Set<ItemId> some, Optional<ItemId> folder, boolean sure, Actor by) {
        NotFound.unless(projects.find(project));
        String into = folder.map(wanted -> NotFound.unless(files.folders(project).stream()
                                .filter(one -> one.id().equals(wanted))
                                .findFirst())
                        .name())
                .orElse("");
        arrivals.watch(project, by);
        List<ProjectFile> moved = files.ofProject(project).stream()
                .filter(file -> some.contains(file.id()))
                .toList();
        if (moved.size() != some.size()) {
            throw Refused.changedMeanwhile(
                    "One of these files was deleted meanwhile. Nothing was moved; choose again.");
        }
        moved.forEach(file -> items.move(file.id(), folder));
        arrivals.sayFirst(project, sure, moved.size() == 1 ? "Move it" : "Move them");
        moved.forEach(file -> audit.append(
                project,
                file.id().value(),
                new FileActs.FileMoved(by, file.name(), Objects.requireNonNullElse(file.folderName(), ""), into)));
    }

    /**
     * Moves a folder with all that lies in it.
     *
     * @param into empty for the top
     * @param sure whether it was said who will see what at once, and confirmed
     * @throws Refused if it would lie in itself
     */
    @Transactional
    public ProjectId moveFolder(ItemId id, Optional<ItemId> into, boolean sure, Actor by) {
        ProjectId project = NotFound.unless(files.projectOfFolder(id));
        FolderTree tree = new FolderTree(files.folders(project));
        if (into.filter(tree.below(id)::contains).isPresent()) {
            throw Refused.because("A folder cannot lie in itself. Nothing was moved; choose another.");
        }
        into.ifPresent(wanted -> NotFound.unless(files.projectOfFolder(wanted).filter(project::equals)));
        arrivals.watch(project, by);
        items.move(id, into);
        arrivals.sayFirst(project, sure, "Move it");
        audit.append(
                project,
                id.value(),
                new FileActs.FolderMoved(by, tree.pathWords(Optional.of(id)), tree.pathWords(into)));
        return project;
    }

    private ProjectId change(Optional<ProjectFile> found, ItemId id, Actor by, Act act, Runnable change) {
        ProjectFile file = NotFound.unless(found);
        ProjectId project = items.find(id).orElseThrow().project();
        change.run();
        audit.append(project, id.value(), new FileActs.FileTurned(act, by, file.name(), file.sha256()));
        return project;
    }

    /** The names of the panes at which a deleted file is seen at once if it is brought back. */
    public List<String> seenIfBroughtBack(ProjectId project, ItemId id) {
        return arrivals.ifBroughtBack(project, id);
    }
}
