package app.clearpane.usecases.followup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.followup.TaskOfMark;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.usecases.markup.MarkWords;
import app.clearpane.usecases.markup.NoteMarkChange;
import app.clearpane.usecases.plan.task.MoveTask;
import app.clearpane.usecases.plan.task.WriteDownTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes the task of a mark, with its picture and its files. */
@Component
class TaskFromMark {
    private static final int LONGEST_NAME = 90;
    private final Markups markups;
    private final Deliverables deliverables;
    private final MoveTask moveTask;
    private final TaskFiles files;
    private final NoteMarkChange change;
    private final Clock clock;
    private final WriteDownTask writeDownTask;

    TaskFromMark(
            Markups markups,
            Deliverables deliverables,
            MoveTask moveTask,
            TaskFiles files,
            NoteMarkChange change,
            Clock clock,
            WriteDownTask writeDownTask) {
        this.writeDownTask = writeDownTask;
        this.markups = markups;
        this.deliverables = deliverables;
        this.moveTask = moveTask;
        this.files = files;
        this.change = change;
        this.clock = clock;
    }

    @Transactional
    void become(MarkupId id, Optional<Vault.Stored> picture, Person.OfTeam by) {
        Mark mark = NotFound.unless(markups.find(id));
        Version version = deliverables.version(mark.version()).orElseThrow();
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        if (mark.beside().task().isPresent()) {
            throw Refused.because("There is a task for mark " + mark.label() + " already. Nothing was changed.");
        }
        if (!mark.intent().asks()) {
            throw Refused.because("Mark " + mark.label()
                    + " says that something is to be kept, so there is nothing to do. Nothing was changed.");
        }
        ItemId task = writeDownTask.ours(
                deliverable.project(),
                name(mark, deliverable),
                notes(mark, deliverable, version),
                mark.beside().doer(),
                by);
        picture.ifPresent(kept -> files.add(new TaskFiles.TaskFile(
                UUID.randomUUID(),
                task,
                kept.sha256(),
                "place of " + mark.label() + ".png",
                "image/png",
                kept.size(),
                true,
                by.actor(),
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
                        mark.author(),
                        clock.instant())));
        markups.becomes(mark, task);
        TaskOfMark.stage(mark.progress(), Stage.TO_DO).ifPresent(stage -> moveTask.move(task, stage, by.actor()));
        change.note(
                deliverable,
                new MarkActs.MarkBecameTask(
                        by.actor(), deliverable.name(), mark.id(), mark.label().toString(), task),
                true);
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
        String instead =
                mark.replacement().map(words -> "\n\nInstead: " + words).orElse("");
        return mark.author().name() + " on " + deliverable.name() + ", " + version.called() + ", "
                + MarkWords.where(mark.place()) + ":\n\n" + mark.note() + instead;
    }
}
