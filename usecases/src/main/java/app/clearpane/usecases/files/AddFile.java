package app.clearpane.usecases.files;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.formats.apart.Wish;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Adds files and folders to a project, deletes and restores them. What can be looked at is drawn as well. */
@Component
public class AddFile {
    static final int LONGEST_WORDS = 300;
    private static final int DEEPEST = 12;
    private final ProjectFiles files;
    private final Projects projects;
    private final NewItem newItem;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final TakeInWork takeInWork;

    AddFile(
            ProjectFiles files,
            Projects projects,
            NewItem newItem,
            AuditLog audit,
            TransactionTemplate transaction,
            TakeInWork takeInWork) {
        this.takeInWork = takeInWork;
        this.files = files;
        this.projects = projects;
        this.newItem = newItem;
        this.audit = audit;
        this.transaction = transaction;
    }

    /** Adds a file, in a folder or at the top. @throws IOException if it cannot be written; nothing is kept */
    public ItemId add(ProjectId project, Optional<ItemId> folder, String fileName, InputStream content, Actor by)
            throws IOException {
        needFolder(project, folder);
        return keep(project, folder, takeInWork.take(project, fileName, content, by), by);
    }

    /** The same of a file that may have been sent in parts, which may be larger. */
    public ItemId addResumed(ProjectId project, Optional<ItemId> folder, String fileName, InputStream content, Actor by)
            throws IOException {
        needFolder(project, folder);
        return keep(project, folder, takeInWork.takeResumed(project, fileName, content, by), by);
    }

    private void needFolder(ProjectId project, Optional<ItemId> folder) {
        NotFound.unless(projects.find(project));
        if (folder.isPresent() && files.folders(project).stream().noneMatch(f -> f.id().equals(folder.get()))) {
            throw new NotFound();
        }
    }

    private ItemId keep(ProjectId project, Optional<ItemId> folder, TakeInWork.Taken taken, Actor by)
            throws IOException {
        Vault.Stored stored = taken.stored();
        String name = taken.name();
        if (stored.size() == 0) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and "
                    + "choose it once more.");
        }
        Optional<Wish.Opened> work = takeInWork.opened(taken);
        String mediaType = takeInWork.mediaType(taken, work);
        return transaction.execute(status -> {
            ItemId item = newItem.add(project, ContentKind.FILES, name, folder, by);
            files.addFile(item, stored, mediaType, by);
            work.ifPresent(opened -> takeInWork.draw(taken, opened));
            audit.append(project, item.value(), new FileActs.FileAdded(by, name, stored.sha256(), stored.size()));
            return item;
        });
    }

    /**
     * Adds a file that comes with its folders: those that are there are gone into, the others are made.
     *
     * @param in where its outermost folder lies; empty for the top
     * @param way the file and the folders it lay in: "Artwork/Maps/hill.pdf"
     * @throws IOException if it cannot be written; nothing is kept
     * @throws Refused if the way climbs out of its folder, or is deeper than twelve folders
     */
    public ItemId addOnWay(ProjectId project, Optional<ItemId> in, String way, InputStream content, Actor by)
            throws IOException {
        List<String> steps = Arrays.stream(way.split("[/\\\\]"))
                .map(String::strip)
                .filter(step -> !step.isEmpty())
                .toList();
        if (steps.isEmpty() || steps.contains("..") || steps.contains(".")) {
            throw Refused.because("“" + way + "” leads out of its folder. Nothing was kept of it.");
        }
        String name = steps.get(steps.size() - 1);
        if (steps.size() > DEEPEST + 1) {
            throw Refused.because("“" + name + "” lies deeper than " + DEEPEST
                    + " folders. Nothing was kept of it; put it further up and add it again.");
        }
        Optional<ItemId> folder = transaction.execute(status -> {
            Optional<ItemId> at = in;
            for (String step : steps.subList(0, steps.size() - 1)) {
                at = Optional.of(folderIn(project, at, FileNames.safe(step), "", by));
            }
            return at;
        });
        return add(project, folder, name, content, by);
    }

    private ItemId folderIn(ProjectId project, Optional<ItemId> parent, String name, String words, Actor by) {
        return files.folders(project).stream()
                .filter(one -> one.parent().equals(parent) && one.name().equals(name))
                .findFirst()
                .map(Folder::id)
                .orElseGet(() -> folder(project, name, words, parent, by));
    }

    /** A folder in others, made where it is not there yet. @param words what belongs in it, if it is made */
    @Transactional
    public ItemId folderOnWay(ProjectId project, List<String> way, String words, Actor by) {
        Optional<ItemId> at = Optional.empty();
        for (int i = 0; i < way.size(); i++) {
            String here = i == way.size() - 1 ? words : "";
            at = Optional.of(folderIn(project, at, FileNames.safe(way.get(i)), here, by));
        }
        return at.orElseThrow();
    }

    /** Makes a folder at the top. */
    @Transactional
    public ItemId folder(ProjectId project, String name, Actor by) {
        return folder(project, name, "", Optional.empty(), by);
    }

    /** Makes a folder. @param words what belongs in it @param parent the folder it lies in; empty for the top */
    @Transactional
    public ItemId folder(ProjectId project, String name, String words, Optional<ItemId> parent, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The folder", name);
        String belongs = input.text("What belongs in it", words, LONGEST_WORDS);
        input.allGood();
        if (parent.isPresent()
                && files.folders(project).stream().noneMatch(one -> one.id().equals(parent.get()))) {
            throw new NotFound();
        }
        ItemId item =
                newItem.add(project, ContentKind.FILES, named.orElseThrow().value(), parent, by);
        files.addFolder(item, belongs);
        audit.append(
                project,
                item.value(),
                new FileActs.FolderAdded(by, named.orElseThrow().value()));
        return item;
    }
}
