package app.clearpane.usecases.followup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.TaskOfMark;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.usecases.markup.CutOuts;
import app.clearpane.usecases.markup.MarkWords;
import app.clearpane.usecases.markup.MarksMoved;
import app.clearpane.usecases.plan.MoveTask;
import app.clearpane.usecases.plan.PlanTask;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes a task of a mark, with the cut-out picture of its place beside it. From then on the two are one in state. */
@Component
public class MakeTask {
    private static final int CUT_OUT_WIDTH = 840;
    private static final int LONGEST_NAME = 90;
    private final Markups markups;
    private final Deliverables deliverables;
    private final CutOuts cutOuts;
    private final Vault vault;
    private final PlanTask planTask;
    private final MoveTask moveTask;
    private final TaskFiles files;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Clock clock;

    MakeTask(
            Markups markups,
            Deliverables deliverables,
            CutOuts cutOuts,
            Vault vault,
            PlanTask planTask,
            MoveTask moveTask,
            TaskFiles files,
            AuditLog audit,
            ApplicationEventPublisher events,
            TransactionTemplate transaction,
            Clock clock) {
        this.markups = markups;
        this.deliverables = deliverables;
        this.cutOuts = cutOuts;
        this.vault = vault;
        this.planTask = planTask;
        this.moveTask = moveTask;
        this.files = files;
        this.audit = audit;
        this.events = events;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * Makes it. @return the mark as it was @throws Refused if it has a task, or asks for nothing @throws IOException if
     * its picture cannot be kept
     */
    public Mark make(MarkupId id, Person.OfTeam by) throws IOException {
        Mark seen = NotFound.unless(markups.find(id));
        Optional<Vault.Stored> picture = picture(seen);
        transaction.executeWithoutResult(status -> make(id, picture, by));
        return seen;
    }

    /** The cut-out of its place, kept; empty where there is nothing to see. */
    private Optional<Vault.Stored> picture(Mark mark) throws IOException {
        Version version = deliverables.version(mark.version()).orElseThrow();
        byte[] png = cutOuts.cut(version, List.of(mark), CUT_OUT_WIDTH).get(mark.id());
        return png == null ? Optional.empty() : Optional.of(vault.store(new ByteArrayInputStream(png), png.length));
    }

    private void make(MarkupId id, Optional<Vault.Stored> picture, Person.OfTeam by) {
        Mark mark = NotFound.unless(markups.find(id));
        Version version = deliverables.version(mark.version()).orElseThrow();
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        if (mark.beside().task() != null) {
            throw Refused.because("There is a task for mark " + mark.label() + " already. Nothing was changed.");
        }
        if (!mark.intent().asks()) {
            throw Refused.because("Mark " + mark.label()
                    + " says that something is to be kept, so there is nothing to do. Nothing was changed.");
        }
        ItemId task = planTask.ours(
                deliverable.project(),
                name(mark, deliverable),
                notes(mark, deliverable, version),
                Optional.ofNullable(mark.beside().doer()),
                by);
        picture.ifPresent(kept -> files.add(new TaskFiles.TaskFile(
                UUID.randomUUID(),
                task,
                kept.sha256(),
                "place of " + mark.label() + ".png",
                "image/png",
                kept.size(),
                true,
                by.fullName(),
                clock.instant())));
        mark.beside()
                .with()
                .attachments()
                .forEach(file -> files.add(new TaskFiles.TaskFile(
                        UUID.randomUUID(),
                        task,
                        file.sha256(),
                        file.name(),
                        file.mediaType(),
                        file.size(),
                        true,
                        mark.author().name(),
                        clock.instant())));
        markups.becomes(mark, task);
        TaskOfMark.stage(mark.progress(), Stage.TO_DO).ifPresent(stage -> moveTask.move(task, stage, by.actor()));
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new MarkActs.MarkBecameTask(
                        by.actor(), deliverable.name(), mark.id(), mark.label().toString(), task));
        events.publishEvent(new MarksMoved(deliverable.id(), true));
    }

    /** Its note as far as a name may be long, or where it stands if it says nothing. */
    private static String name(Mark mark, Deliverable deliverable) {
        String line = mark.note().lines().findFirst().orElse("").strip();
        String words = line.isEmpty()
                ? deliverable.name()
                : line.codePointCount(0, line.length()) <= LONGEST_NAME
                        ? line
                        : line.substring(0, line.offsetByCodePoints(0, LONGEST_NAME))
                                        .strip() + "…";
        return mark.label() + ": " + words;
    }

    private static String notes(Mark mark, Deliverable deliverable, Version version) {
        String instead = mark.replacement() == null ? "" : "\n\nInstead: " + mark.replacement();
        return mark.author().name() + " on " + deliverable.name() + ", " + version.called() + ", "
                + MarkWords.where(mark.place()) + ":\n\n" + mark.note() + instead;
    }
}
