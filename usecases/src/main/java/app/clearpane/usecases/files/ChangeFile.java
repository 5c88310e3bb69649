package app.clearpane.usecases.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.formats.apart.Wish;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Gives a file another name, or new content in its place; what stood there is kept and can be brought back. */
@Component
public class ChangeFile {
    private static final int LONGEST_NAME = 120;
    private final ProjectFiles files;
    private final Items items;
    private final TakeInWork takeInWork;
    private final TheAgency agency;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    ChangeFile(
            ProjectFiles files,
            Items items,
            TakeInWork takeInWork,
            TheAgency agency,
            AuditLog audit,
            TransactionTemplate transaction) {
        this.files = files;
        this.items = items;
        this.takeInWork = takeInWork;
        this.agency = agency;
        this.audit = audit;
        this.transaction = transaction;
    }

    /** Gives it another name. */
    @Transactional
    public void rename(ItemId id, String name, Actor by) {
        ProjectFile file = NotFound.unless(files.find(id));
        Input input = new Input();
        String typed = input.text("The name", name, LONGEST_NAME);
        input.require(!typed.isEmpty(), "The name: type one.");
        input.allGood();
        String safe = FileNames.safe(typed);
        if (!safe.equals(file.name())) {
            items.rename(id, safe);
            audit.append(projectOf(id), id.value(), new FileActs.FileRenamed(by, safe, file.name()));
        }
    }

    private ProjectId projectOf(ItemId id) {
        return items.find(id).orElseThrow().project();
    }

    /**
     * Puts new content in its place, for everybody who sees it.
     *
     * @throws IOException if it cannot be written; nothing is kept
     * @throws Refused if it is empty or what stands there already
     */
    public void replace(ItemId id, String fileName, InputStream content, Actor by) throws IOException {
        ProjectFile before = NotFound.unless(files.find(id));
        TakeInWork.Taken taken = takeInWork.take(projectOf(id), fileName, content, by);
        if (taken.stored().size() == 0) {
            throw Refused.because("“" + taken.name() + "” is empty: it has 0 bytes. Nothing was changed.");
        }
        if (taken.stored().sha256().equals(before.sha256())) {
            throw Refused.because("These are the very bytes that stand there already. Nothing was changed.");
        }
        Optional<Wish.Opened> work = takeInWork.opened(taken);
        String mediaType = takeInWork.mediaType(taken, work);
        transaction.executeWithoutResult(status -> {
            put(id, taken.stored(), mediaType, by);
            work.ifPresent(opened -> takeInWork.draw(taken, opened));
        });
    }

    /** Puts what stood there before in its place again. @throws Refused if it stands there */
    @Transactional
    public void bringBack(ItemId id, int number, Actor by) {
        ProjectFiles.Earlier earlier = NotFound.unless(
                files.earlier(id).stream().filter(one -> one.number() == number).findFirst());
        if (NotFound.unless(files.find(id)).sha256().equals(earlier.sha256())) {
            throw Refused.because("This stands there already. Nothing was changed.");
        }
        put(id, new Vault.Stored(earlier.sha256(), earlier.size()), earlier.mediaType(), by);
    }

    private void put(ItemId id, Vault.Stored stored, String mediaType, Actor by) {
        ProjectFile before = NotFound.unless(files.find(id));
        files.replace(before, stored, mediaType, by, agency.now());
        audit.append(
                projectOf(id),
                id.value(),
                new FileActs.FileReplaced(by, before.name(), before.sha256(), stored.sha256(), stored.size()));
    }
}
