package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.files.Vault;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Puts files beside tasks. */
@Component
public class AttachFilesToTask {
    private final Tasks tasks;
    private final TaskFiles files;
    private final Vault vault;
    private final TakeInFile takeIn;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final Clock clock;

    AttachFilesToTask(
            Tasks tasks,
            TaskFiles files,
            Vault vault,
            TakeInFile takeIn,
            AuditLog audit,
            TransactionTemplate transaction,
            Clock clock) {
        this.tasks = tasks;
        this.files = files;
        this.vault = vault;
        this.takeIn = takeIn;
        this.audit = audit;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** A file as it arrives. @param teamOnly whether clients never see it @param by who brings it, by name */
    public record Arriving(String fileName, InputStream content, boolean teamOnly, Actor by) {}

    /**
     * Puts one beside a task. @throws IOException if it cannot be written; nothing is kept @throws Refused if it is
     * empty
     */
    public PlannedTask put(ItemId id, Arriving arriving) throws IOException {
        return put(id, arriving, task -> {});
    }

    /** The same, with what follows from it in the same transaction. */
    public PlannedTask put(ItemId id, Arriving arriving, Consumer<PlannedTask> then) throws IOException {
        PlannedTask task = NotFound.unless(tasks.find(id));
        String name = FileNames.safe(arriving.fileName());
        Vault.Stored stored = takeIn.take(task.project(), arriving.by(), arriving.content());
        if (stored.size() == 0) {
            throw Refused.because("“" + name
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and "
                    + "choose it once more.");
        }
        String mediaType = ContentType.of(vault.path(stored.sha256()));
        transaction.executeWithoutResult(status -> {
            keep(task, file(task, name, stored, mediaType, arriving.teamOnly(), arriving.by()), arriving.by());
            then.accept(task);
        });
        return task;
    }

    /** Puts something that is kept already beside a task, for the team; part of a transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void putKept(ItemId id, String name, Vault.Stored stored, String mediaType, Actor by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        keep(task, file(task, name, stored, mediaType, true, by), by);
    }

    private TaskFiles.TaskFile file(
            PlannedTask task, String name, Vault.Stored stored, String mediaType, boolean teamOnly, Actor by) {
        return new TaskFiles.TaskFile(
                UUID.randomUUID(),
                task.id(),
                stored.sha256(),
                name,
                mediaType,
                stored.size(),
                teamOnly,
                by,
                clock.instant());
    }

    private void keep(PlannedTask task, TaskFiles.TaskFile file, Actor by) {
        files.add(file);
        audit.append(
                task.project(),
                task.id().value(),
                new PlanActs.TaskFileAdded(by, task.name(), file.name(), file.sha256(), file.size()));
    }
}
