package app.clearpane.usecases.files;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says what a folder is called and what belongs in it, and deletes it with all that lies in it. */
@Component
public class KeepFolder {
    private final ProjectFiles files;
    private final Items items;
    private final DeleteItem deleteItem;
    private final AuditLog audit;

    KeepFolder(ProjectFiles files, Items items, DeleteItem deleteItem, AuditLog audit) {
        this.files = files;
        this.items = items;
        this.deleteItem = deleteItem;
        this.audit = audit;
    }

    /** Changes what it is called and what belongs in it. */
    @Transactional
    public ProjectId change(ItemId id, String name, String words, Actor by) {
        ProjectId project = NotFound.unless(files.projectOfFolder(id));
        Input input = new Input();
        Optional<Name> named = input.name("The folder", name);
        String belongs = input.text("What belongs in it", words, AddFile.LONGEST_WORDS);
        input.allGood();
        String wanted = named.orElseThrow().value();
        Folder folder = folder(project, id);
        files.describeFolder(id, belongs);
        if (!folder.name().equals(wanted)) {
            items.rename(id, wanted);
            audit.append(project, id.value(), new FileActs.FolderRenamed(by, wanted, folder.name()));
        }
        return project;
    }

    private Folder folder(ProjectId project, ItemId id) {
        return NotFound.unless(files.folders(project).stream()
                .filter(one -> one.id().equals(id))
                .findFirst());
    }

    /** Deletes it with all that lies in it; all of it can be brought back. */
    @Transactional
    public ProjectId delete(ItemId id, Actor by) {
        ProjectId project = NotFound.unless(files.projectOfFolder(id));
        Folder folder = folder(project, id);
        deleteItem.delete(id, by);
        audit.append(project, id.value(), new FileActs.FolderDeleted(by, folder.name()));
        return project;
    }
}
