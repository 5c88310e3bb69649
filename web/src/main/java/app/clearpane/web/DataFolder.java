package app.clearpane.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/**
 * The folder that holds everything, and whether it is a demo's: its people come in by links that anybody can read, so
 * it never opens as a house that runs for real.
 */
record DataFolder(Path path) {
    private static final String MARK = "this-is-a-demo";

    /** The one that is set. */
    static DataFolder of(Map<String, String> environment) {
        return new DataFolder(Path.of(environment.getOrDefault("CLEARPANE_DATA", "./data")));
    }

    /**
     * Takes it for a start.
     *
     * @return why it cannot be taken, and what to do; empty if it can
     */
    Optional<String> begin(boolean demo) {
        boolean marked = Files.exists(path.resolve(MARK));
        if (demo && !marked && !isEmpty()) {
            return Optional.of("demo: " + path.toAbsolutePath()
                    + " holds something that is not a demo's. Nothing was changed; name an empty folder in "
                    + "CLEARPANE_DATA, or none.");
        }
        if (!demo && marked) {
            return Optional.of("serve: " + path.toAbsolutePath()
                    + " holds a demo, whose links anybody can read. Nothing was changed; name another "
                    + "folder in CLEARPANE_DATA.");
        }
        if (demo && !marked) {
            mark();
        }
        return Optional.empty();
    }

    /**
     * Where files are kept that nobody needs after a while. What an earlier start left there is removed. @throws
     * UncheckedIOException if it cannot be made
     */
    Path clearTemporary() {
        Path temporary = path.toAbsolutePath().resolve("tmp");
        try {
            FileSystemUtils.deleteRecursively(temporary);
            Files.createDirectories(temporary);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return temporary;
    }

    private boolean isEmpty() {
        if (!Files.exists(path)) {
            return true;
        }
        try (Stream<Path> inside = Files.list(path)) {
            return inside.findAny().isEmpty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void mark() {
        try {
            Files.createDirectories(path);
            Files.writeString(path.resolve(MARK), "Everybody in it is made up. It is never served as a real house.\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
