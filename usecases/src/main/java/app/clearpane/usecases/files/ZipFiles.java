package app.clearpane.usecases.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.FolderTree;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;

/** Writes any choice of files as one ZIP, in their folders, as it is read: nothing of it is held in memory. */
@Component
public class ZipFiles {
    private final ProjectFiles files;
    private final Vault vault;

    ZipFiles(ProjectFiles files, Vault vault) {
        this.files = files;
        this.vault = vault;
    }

    /** Writes something. */
    public interface Written {
        /** @throws IOException if it cannot be written or read */
        void write(OutputStream out) throws IOException;
    }

    /** The files of a project that are meant. @throws Refused if none are, or one was deleted meanwhile */
    public Written written(ProjectId project, Set<ItemId> some) {
        List<ProjectFile> chosen = files.ofProject(project).stream()
                .filter(file -> some.contains(file.id()))
                .toList();
        if (chosen.isEmpty()) {
            throw Refused.because("Tick the files to take first.");
        }
        if (chosen.size() != some.size()) {
            throw Refused.changedMeanwhile("One of these files was deleted meanwhile. Choose again.");
        }
        FolderTree tree = new FolderTree(files.folders(project));
        return out -> write(chosen, tree, out);
    }

    private void write(List<ProjectFile> chosen, FolderTree tree, OutputStream out) throws IOException {
        Set<String> taken = new HashSet<>();
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (ProjectFile file : chosen) {
                ZipEntry entry = new ZipEntry(unique(path(tree, file), taken));
                entry.setTime(file.addedAt().toEpochMilli());
                zip.putNextEntry(entry);
                try (InputStream in = vault.open(file.sha256())) {
                    in.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
    }

    private static String path(FolderTree tree, ProjectFile file) {
        StringBuilder path = new StringBuilder();
        Optional.ofNullable(file.folder()).ifPresent(folder -> tree.path(folder)
                .forEach(one -> path.append(FileNames.safe(one.name())).append('/')));
        return path.append(FileNames.safe(file.name())).toString();
    }

    /** A path that no system takes for one that is there: “map.pdf”, then “map (2).pdf”. */
    static String unique(String path, Set<String> taken) {
        int dot = path.lastIndexOf('.');
        int at = dot > path.lastIndexOf('/') + 1 ? dot : path.length();
        String free = path;
        for (int number = 2; !taken.add(free.toLowerCase(Locale.ROOT)); number++) {
            free = path.substring(0, at) + " (" + number + ")" + path.substring(at);
        }
        return free;
    }
}
