package app.clearpane.usecases.files;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.record.RecordWatch;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Every night: lets go of what was deleted long ago, removes from the vault what nothing names, and reads over whether
 * all that is named still hashes to its name.
 */
@Component
public class LookAfterVault implements Recurring {
    private static final Logger LOG = LoggerFactory.getLogger(LookAfterVault.class);
    /** What was stored less than a day ago may still be about to be named. */
    private static final Duration TIME_TO_BE_NAMED = Duration.ofDays(1);

    private final Vault vault;
    private final ProjectFiles files;
    private final RecordWatch watch;
    private final Clock clock;

    LookAfterVault(Vault vault, ProjectFiles files, RecordWatch watch, Clock clock) {
        this.vault = vault;
        this.files = files;
        this.watch = watch;
        this.clock = clock;
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("vault", "${clearpane.vault:0 17 3 * * *}", this::nightly);
    }

    void nightly() throws IOException {
        letGo();
        sweep();
        scrub();
    }

    /** Lets go of files that were deleted too long ago to be brought back. @return how many */
    @Transactional
    public int letGo() {
        return files.letGo(clock.instant().minus(DeleteItem.KEPT));
    }

    /** Removes what nothing names. @return how many files */
    public int sweep() throws IOException {
        Set<Sha256> named = files.named();
        int removed = vault.sweep(named::contains, clock.instant().minus(TIME_TO_BE_NAMED));
        LOG.debug("swept {} files that nothing names", removed);
        return removed;
    }

    /** Finds what no longer hashes to its name, and shouts. @return the files */
    public List<Sha256> scrub() throws IOException {
        List<Sha256> faulty = new java.util.ArrayList<>();
        for (Sha256 file :
                files.named().stream().sorted(Comparator.comparing(Sha256::hex)).toList()) {
            if (!vault.isIntact(file)) {
                faulty.add(file);
            }
        }
        if (!faulty.isEmpty()) {
            watch.shoutAboutFiles(faulty.stream().map(Sha256::hex).toList());
        }
        return faulty;
    }
}
