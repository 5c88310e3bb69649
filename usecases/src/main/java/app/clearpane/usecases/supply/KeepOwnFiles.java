package app.clearpane.usecases.supply;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.files.ArrangeFiles;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What a client's people keep at their pane without having been asked: in folders of their own, seen by whoever sees
 * the pane and by the team, and by nobody at another pane.
 */
@Component
public class KeepOwnFiles {
    private static final int MOST_FOLDERS = 20;

    private final VisibleFiles visible;
    private final ProjectFiles files;
    private final NewItem newItem;
    private final AddFile addFile;
    private final ArrangeFiles arrangeFiles;
    private final WriteToTeam toTeam;
    private final AuditLog audit;

    KeepOwnFiles(
            VisibleFiles visible,
            ProjectFiles files,
            NewItem newItem,
            AddFile addFile,
            ArrangeFiles arrangeFiles,
            WriteToTeam toTeam,
            AuditLog audit) {
        this.visible = visible;
        this.files = files;
        this.newItem = newItem;
        this.addFile = addFile;
        this.arrangeFiles = arrangeFiles;
        this.toTeam = toTeam;
        this.audit = audit;
    }

    /** A folder of theirs with what lies in it. */
    public record Own(Folder folder, List<OwnFile> files) {}

    /** A file in it. @param mayGo whether whoever looks may take it back: they put it there, and it was not used yet */
    public record OwnFile(ProjectFile file, boolean mayGo) {}

    /** All of it, by name. */
    public List<Own> all(Viewer viewer) {
        List<ProjectFile> seen = visible.all(viewer);
        Set<ItemId> may = mayGo(viewer, seen);
        return visible.ownFolders(viewer).stream()
                .map(folder -> new Own(
                        folder,
                        seen.stream()
                                .filter(file -> folder.id().equals(file.folder()))
                                .map(file -> new OwnFile(file, may.contains(file.id())))
                                .toList()))
                .toList();
    }

    /** Those of some files that whoever looks put there and may take back. */
    private Set<ItemId> mayGo(Viewer viewer, List<ProjectFile> some) {
        List<ProjectFile> own = some.stream()
                .filter(file -> viewer.mayKeepFiles() && file.addedBy().isSameAs(viewer.actor()))
                .toList();
        Set<ItemId> used = files.used(viewer.project(), own);
        return own.stream()
                .map(ProjectFile::id)
                .filter(file -> !used.contains(file))
                .collect(Collectors.toSet());
    }

    /** Makes a folder. @throws Refused if they may not, there is one of that name, or there are too many */
    @Transactional
    public ItemId make(Viewer viewer, String name) {
        need(viewer);
        Input input = new Input();
        Optional<Name> named = input.name("The folder", name);
        input.allGood();
        String called = named.orElseThrow().value();
        List<Folder> there = visible.ownFolders(viewer);
        if (there.size() >= MOST_FOLDERS) {
            throw Refused.because("There are " + MOST_FOLDERS + " folders already. Nothing was made; use one of them.");
        }
        if (there.stream().anyMatch(one -> one.name().equalsIgnoreCase(called))) {
            throw Refused.because("There is a folder “" + called + "” already. Nothing was made.");
        }
        ItemId id = newItem.addFor(viewer.pane(), viewer.project(), ContentKind.FILES, called, viewer.actor());
        files.addFolderOf(viewer.pane(), id);
        audit.append(viewer.project(), id.value(), new FileActs.FolderAdded(viewer.actor(), called));
        return id;
    }

    /** Puts files into a folder of theirs; the manager is told. @throws Refused if one is empty; the others are kept */
    public void add(Viewer viewer, ItemId folder, List<SupplyFiles.Arriving> arriving) throws IOException {
        need(viewer);
        Folder into = NotFound.unless(visible.ownFolders(viewer).stream()
                .filter(one -> one.id().equals(folder))
                .findFirst());
        if (arriving.isEmpty()) {
            throw Refused.because("Choose a file first.");
        }
        List<String> names = new ArrayList<>();
        List<String> said = new ArrayList<>();
        for (SupplyFiles.Arriving one : arriving) {
            try (InputStream content = one.content().open()) {
                addFile.addResumed(viewer.project(), Optional.of(folder), one.name(), content, viewer.actor());
                names.add(one.name());
            } catch (Refused refused) {
                said.addAll(refused.sentences());
            }
        }
        if (!names.isEmpty()) {
            tell(viewer, into, names);
        }
        if (!said.isEmpty()) {
            throw Refused.because(said);
        }
    }

    private void tell(Viewer viewer, Folder into, List<String> names) {
        toTeam.soon(
                viewer.project(),
                into.id().value(),
                toTeam.letter(
                        "In their folder “" + into.name() + "”",
                        List.of(viewer.name() + " put in: " + String.join(", ", names) + "."),
                        new WriteToTeam.Leads("See it", "/t/projects/" + viewer.project() + "/files?in=" + into.id())));
    }

    /** Takes back a file that they put there. @throws Refused if it was used meanwhile */
    @Transactional
    public void takeBack(Viewer viewer, ItemId id) {
        need(viewer);
        ProjectFile file = NotFound.unless(visible.find(viewer, id)
                .filter(one -> one.addedBy().isSameAs(viewer.actor()))
                .filter(one -> visible.ownFolders(viewer).stream()
                        .anyMatch(folder -> folder.id().equals(one.folder()))));
        if (mayGo(viewer, List.of(file)).isEmpty()) {
            throw Refused.because("We have used “" + file.name() + "” already, so it stays. Nothing was changed.");
        }
        arrangeFiles.delete(id, viewer.actor());
    }

    private static void need(Viewer viewer) {
        if (!viewer.mayKeepFiles()) {
            throw Refused.because("Nothing can be kept here now: you only look, or files are not shown on this page.");
        }
    }
}
