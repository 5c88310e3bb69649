package app.clearpane.usecases.backup;

import app.clearpane.store.backup.HouseBackup;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Makes backups while the house runs: when the command line asks for one by a file in the data folder, and every night
 * where a folder for them is set.
 */
@Component
public class KeepBackups implements Recurring {
    /** Holds the folder that a backup is asked for in. */
    public static final String WANTED = "backup-wanted";
    /** Holds what came of it. */
    public static final String SAID = "backup-said";

    private static final Logger LOG = LoggerFactory.getLogger(KeepBackups.class);
    private static final int NIGHTS_KEPT = 14;
    private final HouseCopy copy;
    private final HouseSettings house;
    private final String nightly;
    private final Clock clock;

    KeepBackups(
            HouseCopy copy,
            HouseSettings house,
            @Value("${clearpane.backup:${CLEARPANE_BACKUP:}}") String nightly,
            Clock clock) {
        this.copy = copy;
        this.house = house;
        this.nightly = nightly;
        this.clock = clock;
    }

    /** Copies this house. */
    public interface HouseCopy {
        /** @throws IOException if it cannot be made; then there is no such folder afterwards */
        HouseBackup.Made into(Path folder) throws IOException;
    }

    @Scheduled(fixedDelay = 2_000)
    public void lookForWanted() throws IOException {
        Path wanted = house.data().resolve(WANTED);
        if (Files.exists(wanted)) {
            Path folder = Path.of(Files.readString(wanted).strip());
            Files.delete(wanted);
            Files.writeString(house.data().resolve(SAID), said(folder));
        }
    }

    private String said(Path folder) {
        try {
            return inWords(copy.into(folder));
        } catch (IOException | RuntimeException failed) {
            LOG.error("no backup could be made in {}", folder, failed);
            return "NO BACKUP: " + failed.getMessage();
        }
    }

    public static String inWords(HouseBackup.Made made) {
        return "Backup in " + made.folder() + ": the database, and " + made.files() + " files of " + made.bytes()
                + " bytes, each read over.";
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("nightly backup", "0 7 4 * * *", this::nightly);
    }

    /** One folder a night, named by its day; those of the last two weeks stay. */
    public void nightly() throws IOException {
        if (!nightly.isEmpty()) {
            Path folder = Files.createDirectories(Path.of(nightly))
                    .resolve(
                            LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC).toString());
            if (!Files.exists(folder)) {
                LOG.info("{}", said(folder));
            }
            removeOld(Path.of(nightly));
        }
    }

    private static void removeOld(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> nights = all.filter(one -> one.getFileName().toString().matches("\\d{4}-\\d\\d-\\d\\d"))
                    .sorted(Comparator.reverseOrder())
                    .toList();
            for (Path old : nights.subList(Math.min(NIGHTS_KEPT, nights.size()), nights.size())) {
                org.springframework.util.FileSystemUtils.deleteRecursively(old);
            }
        }
    }
}
