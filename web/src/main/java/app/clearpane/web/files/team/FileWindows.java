package app.clearpane.web.files.team;

import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.web.exposure.team.Windows;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Files with the little window that says who sees each. */
@Component
class FileWindows {
    private final ProjectFiles files;
    private final Windows windows;
    private final Drawings drawings;

    FileWindows(ProjectFiles files, Windows windows, Drawings drawings) {
        this.files = files;
        this.windows = windows;
        this.drawings = drawings;
    }

    /** A file and its window. @param drawn whether there is a small picture of it */
    record Line(ProjectFile file, Windows.Window window, boolean drawn) {}

    List<Line> linesOf(ProjectId project) {
        Map<?, Windows.Window> seen = windows.windowsOf(project);
        List<ProjectFile> all = files.ofProject(project);
        Set<Sha256> drawn = drawings.firstSheets(
                        all.stream().map(ProjectFile::sha256).toList())
                .keySet();
        return all.stream()
                .map(file -> new Line(file, Objects.requireNonNull(seen.get(file.id())), drawn.contains(file.sha256())))
                .toList();
    }
}
