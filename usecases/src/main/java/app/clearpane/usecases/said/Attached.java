package app.clearpane.usecases.said;

import app.clearpane.core.markup.Mark;
import java.util.List;
import java.util.Optional;

/** How the Record tells of files that came with a note. */
public final class Attached {
    private Attached() {}

    /** Each file's name and digest; empty if there is none. */
    public static Optional<List<String>> told(List<Mark.Attachment> files) {
        return files.isEmpty()
                ? Optional.empty()
                : Optional.of(files.stream()
                        .map(file -> file.name() + " (" + file.sha256().hex() + ")")
                        .toList());
    }
}
