package app.clearpane.web.backup;

import app.clearpane.store.backup.HouseBackup;
import app.clearpane.store.backup.StoppedHouse;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.backup.KeepBackups;
import app.clearpane.web.record.Verify;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;

/** {@code backup} and {@code restore} from the command line. */
public final class BackupCommand {
    private static final int SECONDS_TO_ANSWER = 3_600;

    private BackupCommand() {}

    /** {@code backup FOLDER}: of the house in the data folder, whether it runs or not. @return 0 if it was made */
    public static int backup(Path data, String[] arguments) throws IOException, InterruptedException {
        if (arguments.length != 1 || !StoppedHouse.isDataFolder(data)) {
            System.err.println(
                    "backup: name a folder that is not there yet; CLEARPANE_DATA says which house, one that holds "
                            + "house.mv.db.");
            return 2;
        }
        Path folder = Path.of(arguments[0]).toAbsolutePath();
        Verify.quiet();
        try (StoppedHouse house = StoppedHouse.open(data, "")) {
            System.out.println(
                    KeepBackups.inWords(HouseBackup.make(house.db(), Vault.in(data.resolve("vault")), data, folder)));
            return 0;
        } catch (SQLException running) {
            return ask(data, folder);
        } catch (IOException failed) {
            System.err.println("NO BACKUP: " + failed.getMessage());
            return 1;
        }
    }

    /** Asks the house that runs on the data. */
    private static int ask(Path data, Path folder) throws IOException, InterruptedException {
        Path said = data.resolve(KeepBackups.SAID);
        Files.deleteIfExists(said);
        Files.writeString(data.resolve(KeepBackups.WANTED), folder.toString());
        for (int second = 0; second < SECONDS_TO_ANSWER && !Files.exists(said); second++) {
            Thread.sleep(1_000);
        }
        String answer =
                Files.exists(said) ? Files.readString(said) : "NO BACKUP: the house did not answer within an hour.";
        Files.deleteIfExists(said);
        System.out.println(answer);
        return answer.startsWith("NO BACKUP") ? 1 : 0;
    }

    /**
     * {@code restore BACKUP DATA}: makes a new data folder of a backup and looks it over. @return 0 if all of it is
     * sound
     */
    public static int restore(String[] arguments) throws IOException {
        if (arguments.length != 2) {
            System.err.println("restore: name a backup and a data folder that is empty or not there yet.");
            return 2;
        }
        try {
            HouseBackup.restore(Path.of(arguments[0]), Path.of(arguments[1]));
        } catch (IOException failed) {
            System.err.println("restore: " + failed.getMessage() + ". Nothing that was there before was changed.");
            return 1;
        }
        return Verify.fromCommandLine(new String[] {arguments[1]});
    }
}
