package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.FileSift;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.web.exposure.team.Windows;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Files with the little window that says who sees each. */
@Component
class FileWindows {
    private static final int ON_A_PAGE = 100;
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

    /**
     * A page of the room.
     *
     * @param inFolders how many files lie in each folder itself
     * @param inAll how many files the project has
     */
    record Room(List<Line> lines, FileSift.Page page, Map<ItemId, Long> inFolders, int inAll) {}

    Room room(ProjectId project, FileSift sift, int number) {
        List<ProjectFile> all = files.ofProject(project);
        FileSift.Page page = sift.page(all, number, ON_A_PAGE);
        Map<ItemId, Long> inFolders = all.stream()
                .flatMap(file -> Optional.ofNullable(file.folder()).stream())
                .collect(Collectors.groupingBy(folder -> folder, Collectors.counting()));
        return new Room(lines(page.files()), page, inFolders, all.size());
    }

    /** One file. */
    Line line(ProjectFile file) {
        return lines(List.of(file)).get(0);
    }

    private List<Line> lines(List<ProjectFile> some) {
        Map<ItemId, Windows.Window> seen =
                windows.across(some.stream().map(ProjectFile::id).toList());
        Set<Sha256> drawn = drawings.firstSheets(
                        some.stream().map(ProjectFile::sha256).toList())
                .keySet();
        return some.stream()
                .map(file -> new Line(file, Objects.requireNonNull(seen.get(file.id())), drawn.contains(file.sha256())))
                .toList();
    }
}
