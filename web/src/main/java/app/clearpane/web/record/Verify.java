package app.clearpane.web.record;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.backup.StoppedHouse;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.record.ChainReader;
import app.clearpane.store.record.Records;
import ch.qos.logback.classic.Level;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Checks the whole house: every entry of every Record, and every file of the vault that the database names. */
public final class Verify {
    private final Records records;
    private final ChainReader readOver;
    private final ProjectFiles files;
    private final Vault vault;
    private final PrintStream out;

    Verify(DSLContext db, Vault vault, PrintStream out) {
        this.records = new Records(db);
        this.readOver = new ChainReader(records);
        this.files = new ProjectFiles(db);
        this.vault = vault;
        this.out = out;
    }

    /**
     * {@code verify FOLDER}. @return 0 if all is sound, 1 if a fault was found, 2 if the folder is not a data folder
     */
    public static int fromCommandLine(String[] arguments) throws IOException {
        if (arguments.length != 1 || !StoppedHouse.isDataFolder(Path.of(arguments[0]))) {
            System.err.println(
                    "verify: name a data folder, one that holds house.mv.db. Stop the application first: it keeps "
                            + "its data to itself while it runs.");
            return 2;
        }
        Path data = Path.of(arguments[0]).toAbsolutePath();
        quiet();
        try (StoppedHouse house = StoppedHouse.open(data, ";ACCESS_MODE_DATA=r")) {
            return new Verify(house.db(), Vault.in(data.resolve("vault")), System.out).run() ? 0 : 1;
        } catch (DataAccessException e) {
            System.out.println(
                    "FAULT in the data: something cannot be read, so it was altered or is damaged. " + cause(e));
            return 1;
        } catch (SQLException e) {
            System.err.println(
                    "verify: the data could not be opened. Is the application still running on it? " + e.getMessage());
            return 2;
        }
    }

    /** Says on the console what is asked for and nothing else. */
    public static void quiet() {
        System.setProperty("org.jooq.no-logo", "true");
        System.setProperty("org.jooq.no-tips", "true");
        ((ch.qos.logback.classic.Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).setLevel(Level.WARN);
    }

    private static String cause(Throwable e) {
        return e.getCause() == null ? String.valueOf(e.getMessage()) : cause(e.getCause());
    }

    /** Whether all is sound. Says what it checked, and the first fault. */
    boolean run() throws IOException {
        return checkRecords() && checkFiles();
    }

    private boolean checkRecords() {
        long entries = 0;
        List<UUID> chains = records.chains();
        for (UUID chain : chains) {
            Optional<ChainReader.Found> fault = readOver.whole(chain);
            if (fault.isPresent()) {
                out.println("FAULT in the Record " + chain + ", entry "
                        + fault.get().sequence() + ": its " + fault.get().said() + ".");
                return false;
            }
            entries += records.end(chain).sequence();
        }
        out.println(
                "Record: " + entries + " entries in " + chains.size() + " chains, each follows from the one before.");
        return true;
    }

    private boolean checkFiles() throws IOException {
        List<Sha256> named =
                files.named().stream().sorted(Comparator.comparing(Sha256::hex)).toList();
        for (Sha256 file : named) {
            if (!vault.isIntact(file)) {
                out.println("FAULT in the vault, file " + file + ": it is "
                        + (Files.exists(vault.path(file)) ? "altered: its bytes hash to something else" : "missing")
                        + ".");
                return false;
            }
        }
        out.println("Vault: " + named.size() + " files, each hashes to its name.");
        return true;
    }
}
