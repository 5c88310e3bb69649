package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.jobs.Jobs;
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
    private final Drawings drawings;
    private final Vault vault;
    private final TakeInFile takeIn;
    private final DrawApart apart;
    private final Jobs jobs;
    private final AuditLog audit;
    private final HouseSettings house;
    private final TransactionTemplate transaction;
    private final Clock clock;

    StoreVersion(
            Deliverables deliverables,
            Drawings drawings,
            Vault vault,
            TakeInFile takeIn,
            DrawApart apart,
            Jobs jobs,
            AuditLog audit,
            HouseSettings house,
            TransactionTemplate transaction,
            Clock clock) {
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.vault = vault;
        this.takeIn = takeIn;
        this.apart = apart;
        this.jobs = jobs;
        this.audit = audit;
        this.house = house;
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
        apart.warmUp();
        Vault.Stored stored = takeIn.take(deliverable.project(), by, arriving.content());
        String fileName = FileNames.safe(arriving.fileName());
        Wish.Opened work = opened(stored, fileName);
        Version version = new Version(
                new VersionId(UUID.randomUUID()),
                id,
                null,
                stored.sha256(),
                fileName,
                work.mediaType(),
                stored.size(),
                arriving.whatChanged(),
                by,
                clock.instant(),
                null);
        transaction.executeWithoutResult(status -> keep(deliverable, version, work, by));
        return version;
    }

    private Wish.Opened opened(Vault.Stored stored, String fileName) throws IOException {
        try {
            return apart.open(new Wish.Open(vault.path(stored.sha256()), fileName));
        } catch (UnusableFile unusable) {
            throw Refused.because(unusable.sentence());
        }
    }

    private void keep(Deliverable deliverable, Version version, Wish.Opened work, Actor by) {
        deliverables.addVersion(version);
        if (drawings.begin(version.sha256(), version.mediaType(), work.pages())) {
            jobs.enqueue(DrawPages.NAME, version.sha256().hex());
        }
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.VersionStored(
                        by, deliverable.name(), version.fileName(), version.sha256(), version.size(), work.pages()));
    }
}
