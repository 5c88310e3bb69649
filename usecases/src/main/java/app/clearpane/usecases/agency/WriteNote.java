package app.clearpane.usecases.agency;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes notes for oneself or for the team. They are nobody else's business, so the Record, which clients may be given,
 * does not tell of them.
 */
@Component
public class WriteNote {
    private static final int LONGEST = 4_000;
    private final Notes notes;
    private final Projects projects;
    private final Items items;
    private final People people;
    private final Clock clock;

    WriteNote(Notes notes, Projects projects, Items items, People people, Clock clock) {
        this.notes = notes;
        this.projects = projects;
        this.items = items;
        this.people = people;
        this.clock = clock;
    }

    /** Writes one on a project, or on an item or a contact of it. @return the page where it stands */
    @Transactional
    public String write(ProjectId project, UUID subject, String typed, boolean forTeam, Person.OfTeam by) {
        NotFound.unless(projects.find(project));
        String page = page(project, subject);
        Input input = new Input();
        String body = input.text("The note", typed, LONGEST);
        input.require(!body.isEmpty(), "Write the note first.");
        input.allGood();
        notes.add(project, subject, body, by.memberId(), forTeam, clock.instant());
        return page;
    }

    /** @throws NotFound if the subject is not part of this project */
    private String page(ProjectId project, UUID subject) {
        if (subject.equals(project.value())) {
            return "/t/projects/" + project + "/plan?as=dates#notes";
        }
        if (items.find(new ItemId(subject))
                .filter(item -> item.project().equals(project))
                .isPresent()) {
            return "/t/items/" + subject + "#notes";
        }
        NotFound.unless(people.contact(new ContactId(subject)));
        return "/t/projects/" + project + "/people#notes-" + subject;
    }

    /** Deletes one of one's own. @return the page where it stood */
    @Transactional
    public String delete(UUID id, Person.OfTeam by) {
        Notes.Note note = NotFound.unless(notes.find(id, by.memberId()));
        if (!note.writtenBy().equals(by.memberId())) {
            throw Refused.because("This note is " + note.writer() + "’s. Only who wrote a note can delete it.");
        }
        notes.delete(id, clock.instant());
        return page(note.project(), note.subject())
                .replace("#", (page(note.project(), note.subject()).contains("?") ? "&" : "?") + "undo=" + id + "#");
    }

    /** Brings back one of one's own. @return the page where it stands */
    @Transactional
    public String restore(UUID id, Person.OfTeam by) {
        notes.restore(id, by.memberId());
        Notes.Note note = NotFound.unless(notes.find(id, by.memberId()));
        return page(note.project(), note.subject());
    }
}
