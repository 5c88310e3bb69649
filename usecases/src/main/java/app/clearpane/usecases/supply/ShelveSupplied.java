package app.clearpane.usecases.supply;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Makes something that was accepted a file of the project. */
@Component
class ShelveSupplied {
    private final ProjectFiles files;
    private final NewItem newItem;
    private final AuditLog audit;

    ShelveSupplied(ProjectFiles files, NewItem newItem, AuditLog audit) {
        this.files = files;
        this.newItem = newItem;
        this.audit = audit;
    }

    /** Puts it into the folder of the request; at the top if it has none, or that was deleted. */
    void put(Request request, Supplied given, Actor by) {
        Optional<ItemId> folder = request.folder().filter(wanted -> files.folders(request.project()).stream()
                .anyMatch(there -> there.id().equals(wanted)));
        ItemId item = newItem.add(request.project(), ContentKind.FILES, given.name(), folder, by);
        Vault.Stored stored = new Vault.Stored(given.sha256(), given.facts().bytes());
        files.addFile(item, stored, given.facts().mediaType(), by);
        audit.append(
                request.project(),
                item.value(),
                new FileActs.FileAdded(by, given.name(), stored.sha256(), stored.size()));
    }
}
