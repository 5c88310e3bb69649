package app.clearpane.usecases.files;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Adds files and folders to a project, deletes and restores them. What can be looked at is drawn as well. */
@Component
public class AddFile {
    private final ProjectFiles files;
    private final Projects projects;
    private final NewItem newItem;
    private final Items items;
    private final DeleteItem deleteItem;
    private final WatchArrivals arrivals;
    private final Drawings drawings;
    private final Vault vault;
    private final TakeInFile takeIn;
    private final DrawApart apart;
    private final Jobs jobs;
    private final AuditLog audit;
    private final HouseSettings house;
    private final TransactionTemplate transaction;

    AddFile(
            ProjectFiles files,
            Projects projects,
            NewItem newItem,
            Items items,
            DeleteItem deleteItem,
            WatchArrivals arrivals,
            Drawings drawings,
            Vault vault,
            TakeInFile takeIn,
            DrawApart apart,
            Jobs jobs,
            AuditLog audit,
            HouseSettings house,
            TransactionTemplate transaction) {
        this.files = files;
        this.projects = projects;
        this.newItem = newItem;
        this.items = items;
        this.deleteItem = deleteItem;
        this.arrivals = arrivals;
        this.drawings = drawings;
        this.vault = vault;
        this.takeIn = takeIn;
        this.apart = apart;
        this.jobs = jobs;
        this.audit = audit;
        this.house = house;
        this.transaction = transaction;
    }

    /** Adds a file, in a folder or at the top. @throws IOException if it cannot be written; nothing is kept */
    public ItemId add(ProjectId project, Optional<ItemId> folder, String fileName, InputStream content, Actor by)
            throws IOException {
        NotFound.unless(projects.find(project));
        if (folder.isPresent() && files.folders(project).stream().noneMatch(f -> f.id().equals(folder.get()))) {
            throw new NotFound();
        }
        String name = FileNames.safe(fileName);
        Vault.Stored stored = takeIn.take(project, by, content);
        if (stored.size() == 0) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and "
                    + "choose it once more.");
        }
        String mediaType = ContentType.of(vault.path(stored.sha256()));
        Optional<Wish.Opened> work = opened(stored, name);
        return transaction.execute(status -> {
            ItemId item = newItem.add(project, ContentKind.FILES, name, folder, by);
            files.addFile(item, stored, mediaType, by);
            work.filter(w -> drawings.begin(stored.sha256(), w.mediaType(), w.pages()))
                    .ifPresent(w -> jobs.enqueue("draw-pages", stored.sha256().hex()));
            audit.append(project, item.value(), new FileActs.FileAdded(by, name, stored.sha256(), stored.size()));
            return item;
        });
    }

    private Optional<Wish.Opened> opened(Vault.Stored stored, String name) throws IOException {
        try {
            return Optional.of(apart.open(new Wish.Open(vault.path(stored.sha256()), name)));
        } catch (UnusableFile notToBeLookedAt) {
            return Optional.empty();
        }
    }

    /** Makes a folder. */
    @Transactional
    public ItemId folder(ProjectId project, String name, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The folder", name);
        input.allGood();
        ItemId item =
                newItem.add(project, ContentKind.FILES, named.orElseThrow().value(), Optional.empty(), by);
        files.addFolder(item);
        audit.append(
                project,
                item.value(),
                new FileActs.FolderAdded(by, named.orElseThrow().value()));
        return item;
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

    private ProjectId change(Optional<ProjectFile> found, ItemId id, Actor by, Act act, Runnable change) {
        ProjectFile file = NotFound.unless(found);
        ProjectId project = items.find(id).orElseThrow().project();
        change.run();
        audit.append(project, id.value(), new FileActs.FileTurned(act, by, file.name(), file.sha256()));
        return project;
    }
}
