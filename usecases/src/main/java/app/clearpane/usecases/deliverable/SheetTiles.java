package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.shell.NotFound;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/**
 * Sheets in squares for looking closely, drawn when they are first looked at and kept by the file's digest.
 *
 * <p>A level is twice as wide as the one before; level 0 is the sheet's large picture. A whole row of squares is drawn
 * at a time, since reading a picture or a page costs the same for one square as for all beside it.
 */
@Component
public class SheetTiles implements Recurring {
    /** The side of a square, in pixels. */
    public static final int SIDE = 800;
    /** The most levels: 12,800 pixels across. */
    private static final int MOST_LEVELS = 3;
    /** How long squares are kept that nobody looks at. */
    private static final Duration KEPT = Duration.ofDays(60);

    private static final String PDF = "application/pdf";
    private final Drawings drawings;
    private final Vault vault;
    private final DrawApart apart;
    private final Path folder;
    private final Clock clock;
    private final Map<String, Object> locks = new ConcurrentHashMap<>();

    SheetTiles(Drawings drawings, Vault vault, DrawApart apart, HouseSettings house, Clock clock) {
        this.clock = clock;
        this.apart = apart;
        this.drawings = drawings;
        this.vault = vault;
        this.folder = house.workshop().resolveSibling("tiles");
    }

    /**
     * How many levels there are above the large picture: none for drawings, which are sharp at any size, and for
     * pictures that have no more pixels.
     */
    public static int levels(String mediaType, PageSize size) {
        if (PDF.equals(mediaType)) {
            return MOST_LEVELS;
        }
        if (!mediaType.startsWith("image/") || mediaType.contains("svg")) {
            return 0;
        }
        int level = 0;
        while (level < MOST_LEVELS && width(level) < size.width()) {
            level++;
        }
        return level;
    }

    private static int width(int level) {
        return Work.LARGE_WIDTH << level;
    }

    /** A square of a sheet. @throws NotFound if there is none */
    public Path tile(Sha256 source, int page, int level, int column, int row) throws IOException {
        Drawings.Sheet sheet = NotFound.unless(drawings.sheet(source, page));
        String mediaType =
                drawings.find(source).map(Drawings.Drawing::mediaType).orElse("");
        int height = (int) Math.round(width(Math.max(0, level)) * sheet.size().ratio());
        if (level < 1
                || level > levels(mediaType, sheet.size())
                || column < 0
                || column >= width(level) / SIDE
                || row < 0
                || row * SIDE >= height) {
            throw new NotFound();
        }
        Path path = path(source, page, level, column, row);
        if (Files.exists(path)) {
            lookedAt(Objects.requireNonNull(path.getParent()));
        } else {
            draw(source, mediaType, page, level, row, Math.min(SIDE, height - row * SIDE));
        }
        if (!Files.exists(path)) {
            throw new NotFound();
        }
        return path;
    }

    /** A folder's own time says on which day it was looked at last. */
    private void lookedAt(Path squares) throws IOException {
        Instant now = clock.instant();
        if (Files.getLastModifiedTime(squares).toInstant().isBefore(now.minus(Duration.ofDays(1)))) {
            Files.setLastModifiedTime(squares, FileTime.from(now));
        }
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("sweep of squares", "0 17 3 * * *", this::sweep);
    }

    /**
     * Sweeps away the squares of files that nobody looked at closely for a while; they are drawn again when somebody
     * does. @return of how many files
     */
    public int sweep() throws IOException {
        if (!Files.exists(folder)) {
            return 0;
        }
        Instant before = clock.instant().minus(KEPT);
        int swept = 0;
        try (Stream<Path> all = Files.find(
                folder,
                2,
                (path, about) -> about.isDirectory()
                        && folder.relativize(path).getNameCount() == 2
                        && about.lastModifiedTime().toInstant().isBefore(before))) {
            for (Path squares : all.toList()) {
                FileSystemUtils.deleteRecursively(squares);
                swept++;
            }
        }
        return swept;
    }

    private Path path(Sha256 source, int page, int level, int column, int row) {
        return folder.resolve(source.hex().substring(0, 2))
                .resolve(source.hex())
                .resolve(page + "-" + level + "-" + row + "-" + column + ".jpg");
    }

    private void draw(Sha256 source, String mediaType, int page, int level, int row, int height) throws IOException {
        String name = source.hex() + page + "-" + level + "-" + row;
        synchronized (locks.computeIfAbsent(name, key -> new Object())) {
            if (Files.exists(path(source, page, level, 0, row))) {
                return;
            }
            try {
                keep(
                        apart.pictures(new Wish.Squares(
                                        vault.path(source),
                                        mediaType,
                                        new Wish.Rows(page, width(level), row * SIDE, height, SIDE)))
                                .pictures(),
                        source,
                        page,
                        level,
                        row);
            } catch (UnusableFile unusable) {
                throw new NotFound();
            } finally {
                locks.remove(name);
            }
        }
    }

    /** Keeps the squares from the last to the first, so that where the first is all are. */
    private void keep(List<byte[]> squares, Sha256 source, int page, int level, int row) throws IOException {
        Files.createDirectories(path(source, page, level, 0, row).getParent());
        for (int column = squares.size() - 1; column >= 0; column--) {
            Path path = path(source, page, level, column, row);
            Path aside = Files.createTempFile(path.getParent(), "square", ".jpg");
            Files.write(aside, squares.get(column));
            Files.move(aside, path, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
