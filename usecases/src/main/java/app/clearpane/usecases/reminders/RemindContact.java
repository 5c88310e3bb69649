package app.clearpane.usecases.reminders;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Reminds one contact of all that waits for them, in one mail. */
@Component
class RemindContact {
    private final Reminders reminders;
    private final AuditLog audit;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final WriteToContact toContact;

    RemindContact(
            Reminders reminders,
            AuditLog audit,
            TheAgency agency,
            Words words,
            Lasting lasting,
            WriteToContact toContact) {
        this.reminders = reminders;
        this.audit = audit;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.toContact = toContact;
    }

    record Reminder(AwaitsSomebody room, AwaitsSomebody.Thing thing, Rhythm.Occasion occasion) {
        Reminders.Key key() {
            return new Reminders.Key(thing.about(), thing.contact(), thing.due(), occasion.key());
        }
    }

    /** Where another server was quicker with one of them, it is left to it. */
    @Transactional
    void remind(Contact person, List<Reminder> theirs, Instant now) {
        List<Reminder> own =
                theirs.stream().filter(one -> reminders.add(one.key(), now)).toList();
        if (!own.isEmpty()) {
            UUID written = toContact.write(
                    person.id(), note(own.stream().map(Reminder::thing).toList(), now));
            own.forEach(one -> {
                reminders.carried(one.key(), written);
                audit.append(
                        one.thing().project(),
                        one.thing().about(),
                        new PeopleActs.ReminderSent(
                                new Actor.House(agency.get().name()),
                                one.thing().what(),
                                person.name(),
                                one.thing().due(),
                                one.occasion().key()));
            });
        }
    }

    private WriteToContact.Note note(List<AwaitsSomebody.Thing> things, Instant now) {
        boolean only = things.size() == 1;
        return new WriteToContact.Note(
                only
                        ? "Reminder: " + things.get(0).what()
                        : words.count(things.size(), "thing waits", "things wait") + " for you",
                lines(things, now),
                only ? "Go there" : "See them all",
                only ? things.get(0).address() : "/c");
    }

    private List<String> lines(List<AwaitsSomebody.Thing> things, Instant now) {
        List<String> lines =
                new ArrayList<>(List.of(things.size() == 1 ? "This waits for you:" : "These wait for you:"));
        things.forEach(thing -> lines.add(thing.what() + ". "
                + (thing.due().isBefore(now) ? "It was due " : "It is due ") + lasting.due(thing.due()) + "."));
        return lines;
    }
}
