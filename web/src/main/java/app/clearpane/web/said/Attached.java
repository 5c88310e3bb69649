package app.clearpane.web.said;

import app.clearpane.store.markup.MarkupRow;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** How the Record tells of files that came with a note. */
public final class Attached {
  private Attached() {}

  /** What is told with each file's name and digest; the same if there is none. */
  public static Map<String, Object> told(Map<String, Object> told, List<MarkupRow.Attachment> files) {
    if (files.isEmpty()) {
      return told;
    }
    Map<String, Object> all = new HashMap<>(told);
    all.put("files", files.stream().map(file -> file.name() + " (" + file.sha256().hex() + ")").toList());
    return all;
  }
}
