package app.clearpane.usecases.files;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
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
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Adds files and folders to a project, deletes and restores them. What can be looked at is drawn as well. */
@Component
public class AddFile {
    static final int LONGEST_WORDS = 300;
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
        NotFound.unless(projects.find(project));
        if (folder.isPresent() && files.folders(project).stream().noneMatch(f -> f.id().equals(folder.get()))) {
            throw new NotFound();
        }
        TakeInWork.Taken taken = takeInWork.take(project, fileName, content, by);
        Vault.Stored stored = taken.stored();
        String name = taken.name();
        if (stored.size() == 0) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and "
                    + "choose it once more.");
        }
        String mediaType = takeInWork.mediaType(taken);
        Optional<Wish.Opened> work = opened(taken);
        return transaction.execute(status -> {
            ItemId item = newItem.add(project, ContentKind.FILES, name, folder, by);
            files.addFile(item, stored, mediaType, by);
            work.ifPresent(opened -> takeInWork.draw(taken, opened));
            audit.append(project, item.value(), new FileActs.FileAdded(by, name, stored.sha256(), stored.size()));
            return item;
        });
    }

    private Optional<Wish.Opened> opened(TakeInWork.Taken taken) throws IOException {
        try {
            return Optional.of(takeInWork.open(taken));
        } catch (UnusableFile notToBeLookedAt) {
            return Optional.empty();
        }
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
