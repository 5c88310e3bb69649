package app.clearpane.web.files;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.FileRow;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.web.exposure.Windows;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Files with the little window that says who sees each. */
@Component
class FileWindows {
  private final ProjectFiles files;
  private final Windows windows;

  FileWindows(ProjectFiles files, Windows windows) {
    this.files = files;
    this.windows = windows;
  }

  /** A file and its window. */
  record Line(FileRow file, Windows.Window window) {}

  List<Line> of(ProjectId project) {
    Map<?, Windows.Window> seen = windows.of(project);
    return files.of(project).stream().map(file -> new Line(file, seen.get(file.id()))).toList();
  }
}
