package app.clearpane.usecases.record;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.store.agency.People;
import app.clearpane.store.record.ChainReader;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads the Record over: its tail when the house opens, all of it every night. A fault is shouted on every page of the
 * team until somebody has dealt with it.
 */
@Component
@EnableScheduling
public class RecordWatch implements Recurring {
    private static final Logger LOG = LoggerFactory.getLogger(RecordWatch.class);
    /** How many of the newest entries of each chain are read when the house opens. */
    private static final long TAIL = 200;

    private final Records records;
    private final ChainReader readOver;
    private final People people;
    private final WriteMail mail;
    private final HouseSettings house;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private volatile List<Records.Fault> faults = List.of();

    RecordWatch(
            Records records,
            People people,
            WriteMail mail,
            HouseSettings house,
            TransactionTemplate transaction,
            Clock clock) {
        this.records = records;
        this.readOver = new ChainReader(records);
        this.people = people;
        this.mail = mail;
        this.house = house;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** The faults that nobody dealt with. */
    public List<Records.Fault> faults() {
        return faults;
    }

    /** When the house opens. */
    @EventListener(ApplicationReadyEvent.class)
    public void opened() {
        read(TAIL);
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("reading over", "0 41 2 * * *", this::nightly);
    }

    /** Every night. */
    public void nightly() {
        read(Long.MAX_VALUE);
    }

    /** Reads the newest entries of each chain over. */
    void read(long entries) {
        for (UUID chain : records.chains()) {
            transaction.executeWithoutResult(status -> fault(chain, entries).ifPresent(this::shout));
        }
        faults = records.faults();
    }

    /** Tells the owners that files of the vault no longer hash to their names. @param digests the names */
    public void shoutAboutFiles(List<String> digests) {
        LOG.error("FAULT in the vault, {} files no longer hash to their names: {}", digests.size(), digests);
        transaction.executeWithoutResult(status -> people.team().stream()
                .filter(member -> member.role() == TeamRole.OWNER)
                .forEach(owner -> mail.send(
                        owner,
                        new Letter(
                                "A fault in the vault",
                                List.of(
                                        "Reading the files over, " + digests.size()
                                                + (digests.size() == 1 ? " was" : " were")
                                                + " found altered or missing: "
                                                + String.join(", ", digests.subList(0, Math.min(10, digests.size())))
                                                + (digests.size() > 10 ? " and more" : "") + ".",
                                        "Keep the data as they are, keep your newest backup, and bring these files "
                                                + "back from it: each is named by the SHA-256 of its bytes."),
                                "Open Clear Pane",
                                house.address() + "/t",
                                people.agency().orElseThrow().name()))));
    }

    private Optional<Records.Fault> fault(UUID chain, long entries) {
        return readOver.newest(chain, entries)
                .map(found ->
                        new Records.Fault(UUID.randomUUID(), chain, found.sequence(), found.said(), clock.instant()));
    }

    private void shout(Records.Fault fault) {
        LOG.error("FAULT in the Record {}, entry {}: its {}", fault.chain(), fault.sequence(), fault.said());
        boolean known = records.faults().stream()
                .anyMatch(one -> one.chain().equals(fault.chain()) && one.sequence() == fault.sequence());
        records.keep(fault);
        if (!known) {
            people.team().stream()
                    .filter(member -> member.role() == TeamRole.OWNER)
                    .forEach(owner -> mail.send(
                            owner,
                            new Letter(
                                    "A fault in the Record",
                                    List.of(
                                            "Reading the Record over, entry " + fault.sequence() + " of "
                                                    + fault.chain() + " was found faulty: its " + fault.said() + ".",
                                            "What was written down there was changed outside of Clear Pane. Keep "
                                                    + "the data as they are, keep your newest backup, and find out who "
                                                    + "could reach the database."),
                                    "Open Clear Pane",
                                    house.address() + "/t",
                                    people.agency().orElseThrow().name())));
        }
    }
}
