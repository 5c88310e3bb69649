package app.clearpane.usecases.supply;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.deliverable.StoreVersion;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.plan.AttachFilesToTask;
import app.clearpane.usecases.record.AuditLog;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Puts something that was accepted where its request says: into the files, beside a task, or to a deliverable. */
@Component
class ShelveSupplied {
    private final ProjectFiles files;
    private final Items items;
    private final NewItem newItem;
    private final AttachFilesToTask attach;
    private final StoreVersion storeVersion;
    private final AuditLog audit;

    ShelveSupplied(
            ProjectFiles files,
            Items items,
            NewItem newItem,
            AttachFilesToTask attach,
            StoreVersion storeVersion,
            AuditLog audit) {
        this.files = files;
        this.items = items;
        this.newItem = newItem;
        this.attach = attach;
        this.storeVersion = storeVersion;
        this.audit = audit;
    }

    /**
     * Puts it there; at the top of the files if that was deleted.
     *
     * @throws app.clearpane.usecases.shell.Refused if it is to be a draft and cannot be looked at
     */
    void put(Request request, Supplied given, Actor by) {
        Vault.Stored stored = new Vault.Stored(given.sha256(), given.facts().bytes());
        Optional<Items.Row> place = request.goesTo().flatMap(items::find).filter(item -> !item.deleted());
        ContentKind kind = place.map(Items.Row::kind).orElse(ContentKind.FILES);
        if (kind == ContentKind.TASKS) {
            attach.putKept(
                    place.orElseThrow().id(),
                    given.name(),
                    stored,
                    given.facts().mediaType(),
                    by);
        } else if (kind == ContentKind.DELIVERABLES) {
            draft(place.orElseThrow().id(), given, stored, by);
        } else {
            file(request, place.map(Items.Row::id), given, stored, by);
        }
    }

    private void draft(ItemId deliverable, Supplied given, Vault.Stored stored, Actor by) {
        try {
            storeVersion.storeKept(deliverable, stored, given.name(), by);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private void file(Request request, Optional<ItemId> folder, Supplied given, Vault.Stored stored, Actor by) {
        ItemId item = newItem.add(request.project(), ContentKind.FILES, given.name(), folder, by);
        files.addFile(item, stored, given.facts().mediaType(), by);
        audit.append(
                request.project(),
                item.value(),
                new FileActs.FileAdded(by, given.name(), stored.sha256(), stored.size()));
    }
}
