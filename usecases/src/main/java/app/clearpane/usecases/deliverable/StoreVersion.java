package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.TakeInWork;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Stores a version: first its bytes in the vault, then its row. Whatever moment the process dies at, a version that was
 * acknowledged is whole; bytes that were not named yet are swept away.
 */
@Component
public class StoreVersion {
    private final Deliverables deliverables;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final TakeInWork takeInWork;

    StoreVersion(
            Deliverables deliverables,
            AuditLog audit,
            TransactionTemplate transaction,
            Clock clock,
            TakeInWork takeInWork) {
        this.takeInWork = takeInWork;
        this.deliverables = deliverables;
        this.audit = audit;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** A file on its way in. */
    public record Arriving(String fileName, InputStream content, String whatChanged) {}

    /**
     * Stores it as a draft.
     *
     * @throws IOException if it cannot be written; nothing is kept
     * @throws Refused if it cannot be looked at; nothing is kept
     */
    public Version store(ItemId id, Arriving arriving, Actor by) throws IOException {
        Deliverable deliverable = NotFound.unless(deliverables.find(id));
        TakeInWork.Taken taken = takeInWork.take(deliverable.project(), arriving.fileName(), arriving.content(), by);
        Wish.Opened work = opened(taken);
        Version version = version(id, taken, work, arriving.whatChanged(), by);
        transaction.executeWithoutResult(status -> keep(deliverable, version, taken, work, by));
        return version;
    }

    /**
     * Stores something that is kept already as a draft; part of a transaction.
     *
     * @throws IOException if it cannot be read
     * @throws Refused if it cannot be looked at; nothing is kept
     */
    public void storeKept(ItemId id, Vault.Stored stored, String name, Actor by) throws IOException {
        Deliverable deliverable = NotFound.unless(deliverables.find(id));
        TakeInWork.Taken taken = new TakeInWork.Taken(stored, name);
        Wish.Opened work = opened(taken);
        keep(deliverable, version(id, taken, work, "", by), taken, work, by);
    }

    private Version version(ItemId id, TakeInWork.Taken taken, Wish.Opened work, String whatChanged, Actor by) {
        return new Version(
                new VersionId(UUID.randomUUID()),
                id,
                null,
                taken.stored().sha256(),
                taken.name(),
                work.mediaType(),
                taken.stored().size(),
                whatChanged,
                by,
                clock.instant(),
                null);
    }

    private Wish.Opened opened(TakeInWork.Taken taken) throws IOException {
        try {
            return takeInWork.open(taken);
        } catch (UnusableFile unusable) {
            throw Refused.because(unusable.sentence());
        }
    }

    private void keep(Deliverable deliverable, Version version, TakeInWork.Taken taken, Wish.Opened work, Actor by) {
        deliverables.addVersion(version);
        takeInWork.draw(taken, work);
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.VersionStored(
                        by, deliverable.name(), version.fileName(), version.sha256(), version.size(), work.pages()));
    }
}
