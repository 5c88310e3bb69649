package app.clearpane.store.files;

import app.clearpane.core.files.Sha256;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Files that never change, each under the SHA-256 of its bytes.
 *
 * <p>A file is written aside, synced, moved into place and its folder synced, in that order, before {@link #store}
 * returns; only then may the database name it. So whatever moment the process dies at, everything the database names is
 * there and whole; what is left aside, or is in place and not named, {@link #sweep} removes.
 */
public final class Vault {
    private static final int CHUNK = 1 << 16;

    /** The steps of storing a file, for those who need to know that a file got that far. */
    public enum Step {
        WRITTEN_ASIDE,
        SYNCED,
        MOVED,
        IN_PLACE
    }

    /**
     * A file that is in place.
     *
     * @param size in bytes
     */
    public record Stored(Sha256 sha256, long size) {}

    private final Path content;
    private final Path aside;
    private final Consumer<Step> watch;

    /** A vault in this folder, which is made if it is missing. */
    public static Vault in(Path folder) throws IOException {
        return watched(folder, step -> {});
    }

    /** As {@link #in}, telling of each step as it is done. */
    public static Vault watched(Path folder, Consumer<Step> watch) throws IOException {
        return new Vault(
                Files.createDirectories(folder.resolve("content")),
                Files.createDirectories(folder.resolve("aside")),
                watch);
    }

    private Vault(Path content, Path aside, Consumer<Step> watch) {
        this.content = content;
        this.aside = aside;
        this.watch = watch;
    }

    /**
     * Stores what the stream gives. The same bytes are kept once.
     *
     * @param limit the most bytes to take
     * @throws TooLarge if the stream has more; nothing is kept
     * @throws IOException if reading or writing fails; nothing is kept
     */
    public Stored store(InputStream in, long limit) throws IOException {
        Path written = aside.resolve(UUID.randomUUID().toString());
        try {
            Stored stored = writeAside(in, limit, written);
            watch.accept(Step.WRITTEN_ASIDE);
            sync(written, StandardOpenOption.WRITE);
            watch.accept(Step.SYNCED);
            moveIntoPlace(written, stored.sha256());
            return stored;
        } finally {
            Files.deleteIfExists(written);
        }
    }

    private static Stored writeAside(InputStream in, long limit, Path written) throws IOException {
        MessageDigest digest = Sha256.digest();
        long size = 0;
        byte[] chunk = new byte[CHUNK];
        try (OutputStream out = Files.newOutputStream(written, StandardOpenOption.CREATE_NEW)) {
            for (int read = in.read(chunk); read >= 0; read = in.read(chunk)) {
                size += read;
                if (size > limit) {
                    throw new TooLarge(limit);
                }
                digest.update(chunk, 0, read);
                out.write(chunk, 0, read);
            }
        }
        return new Stored(Sha256.of(digest), size);
    }

    private void moveIntoPlace(Path written, Sha256 sha256) throws IOException {
        Path place = path(sha256);
        Path folder = Objects.requireNonNull(place.getParent());
        boolean newFolder = !Files.isDirectory(folder);
        Files.createDirectories(folder);
        Files.move(written, place, StandardCopyOption.ATOMIC_MOVE);
        watch.accept(Step.MOVED);
        sync(folder, StandardOpenOption.READ);
        if (newFolder) {
            sync(content, StandardOpenOption.READ);
        }
        watch.accept(Step.IN_PLACE);
    }

    private static void sync(Path path, StandardOpenOption option) throws IOException {
        try (FileChannel channel = FileChannel.open(path, option)) {
            channel.force(true);
        }
    }

    /** Where a file is, or would be. */
    public Path path(Sha256 sha256) {
        return content.resolve(sha256.hex().substring(0, 2)).resolve(sha256.hex());
    }

    /** Opens a file. @throws NoSuchFileException if it is not there */
    public InputStream open(Sha256 sha256) throws IOException {
        return Files.newInputStream(path(sha256));
    }

    /** Whether the file is there and its bytes still have this digest. */
    public boolean isIntact(Sha256 sha256) throws IOException {
        try (InputStream in = open(sha256)) {
            MessageDigest digest = Sha256.digest();
            byte[] chunk = new byte[CHUNK];
            for (int read = in.read(chunk); read >= 0; read = in.read(chunk)) {
                digest.update(chunk, 0, read);
            }
            return Sha256.of(digest).equals(sha256);
        } catch (NoSuchFileException e) {
            return false;
        }
    }

    /**
     * Removes what was left aside and what nothing names.
     *
     * @param named whether the database names this file
     * @param before only files last touched before this instant, so that one stored just now has time to be named
     * @return how many files were removed
     */
    public int sweep(Predicate<Sha256> named, Instant before) throws IOException {
        int removed = 0;
        try (Stream<Path> all = Stream.concat(Files.walk(aside), Files.walk(content))) {
            for (Path file : (Iterable<Path>) all.filter(Files::isRegularFile)::iterator) {
                boolean isNamed = file.startsWith(content)
                        && named.test(new Sha256(file.getFileName().toString()));
                if (!isNamed
                        && Files.getLastModifiedTime(file).toInstant().isBefore(before)
                        && Files.deleteIfExists(file)) {
                    removed++;
                }
            }
        }
        return removed;
    }

    /** More bytes than may be stored. */
    public static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
        private final long limit;

        TooLarge(long limit) {
            super("more than " + limit + " bytes");
            this.limit = limit;
        }

        /** The most bytes that would have been taken. */
        public long limit() {
            return limit;
        }
    }
}
