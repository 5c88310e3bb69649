package app.clearpane.store.backup;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Seal;
import app.clearpane.store.files.Vault;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jooq.DSLContext;

/**
 * A copy of a house: {@code house.zip}, the database as it was at one instant, {@code vault}, every file that it names,
 * and the key of what is sealed in it. The database is copied first; files never change and are never removed while
 * they are named, so what it names is still there afterwards. The copy is looked over before it counts.
 */
public final class HouseBackup {
    private static final String DATABASE = "house.zip";
    private static final String VAULT = "vault";

    private HouseBackup() {}

    /** What was copied. @param bytes of the files */
    public record Made(Path folder, int files, long bytes) {}

    /**
     * Makes one, of a house that may be running.
     *
     * @param db its database, H2
     * @param data its data folder
     * @param folder where it is to be; it must not be there yet
     * @throws FileAlreadyExistsException if it is
     * @throws IOException if something cannot be written, or a file that the database names is missing or altered: then
     *     there is no such folder afterwards
     */
    public static Made make(DSLContext db, Vault vault, Path data, Path folder) throws IOException {
        if (Files.exists(folder)) {
            throw new FileAlreadyExistsException(folder + " is there already; a backup is made in a new folder");
        }
        Path aside = folder.resolveSibling(folder.getFileName() + ".unfinished");
        remove(aside);
        Files.createDirectories(aside);
        try {
            db.execute("backup to '"
                    + aside.resolve(DATABASE).toAbsolutePath().toString().replace("'", "''") + "'");
            Path opened = aside.resolve("opened");
            unpack(aside.resolve(DATABASE), opened);
            long bytes = 0;
            Set<Sha256> named = named(opened);
            Vault copy = Vault.in(aside.resolve(VAULT));
            for (Sha256 file : named) {
                try (InputStream content = vault.open(file)) {
                    Vault.Stored stored = copy.store(content, Long.MAX_VALUE);
                    if (!stored.sha256().equals(file)) {
                        throw new IOException(
                                "the file " + file + " was altered: its bytes hash to " + stored.sha256());
                    }
                    bytes += stored.size();
                }
            }
            remove(opened);
            copyKey(data, aside);
            Files.move(aside, folder, StandardCopyOption.ATOMIC_MOVE);
            return new Made(folder, named.size(), bytes);
        } finally {
            remove(aside);
        }
    }

    /**
     * Makes a data folder of one.
     *
     * @param data where the house is to be; it must be empty or not there
     * @throws FileAlreadyExistsException if something is there
     * @throws IOException if it is no backup, or something cannot be written
     */
    public static void restore(Path folder, Path data) throws IOException {
        if (!Files.exists(folder.resolve(DATABASE))) {
            throw new IOException(folder + " is no backup: it holds no " + DATABASE);
        }
        if (Files.exists(data)) {
            try (Stream<Path> inside = Files.list(data)) {
                if (inside.findAny().isPresent()) {
                    throw new FileAlreadyExistsException(
                            data + " is not empty; a house is brought back into a new folder");
                }
            }
        }
        unpack(folder.resolve(DATABASE), data);
        copyKey(folder, data);
        try (Stream<Path> all = Files.walk(folder.resolve(VAULT))) {
            for (Path from : (Iterable<Path>) all::iterator) {
                Path to = data.resolve(VAULT)
                        .resolve(folder.resolve(VAULT).relativize(from).toString());
                if (Files.isDirectory(from)) {
                    Files.createDirectories(to);
                } else {
                    Files.copy(from, to, StandardCopyOption.COPY_ATTRIBUTES);
                }
            }
        }
    }

    private static void copyKey(Path from, Path to) throws IOException {
        if (Files.exists(from.resolve(Seal.FILE))) {
            Files.copy(from.resolve(Seal.FILE), to.resolve(Seal.FILE), StandardCopyOption.COPY_ATTRIBUTES);
        }
    }

    private static Set<Sha256> named(Path folder) throws IOException {
        try (StoppedHouse house = StoppedHouse.open(folder, ";ACCESS_MODE_DATA=r")) {
            return new ProjectFiles(house.db()).named();
        } catch (SQLException unreadable) {
            throw new IOException("the copy of the database cannot be read", unreadable);
        }
    }

    private static void unpack(Path zip, Path folder) throws IOException {
        Files.createDirectories(folder);
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                Path to = folder.resolve(entry.getName()).normalize();
                if (!to.startsWith(folder)) {
                    throw new IOException(zip + " is no backup: it holds " + entry.getName());
                }
                Files.copy(in, to);
            }
        }
    }

    private static void remove(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path one : (Iterable<Path>)
                        List.copyOf(all.sorted(Comparator.reverseOrder()).toList())::iterator) {
                    Files.delete(one);
                }
            }
        }
    }
}
