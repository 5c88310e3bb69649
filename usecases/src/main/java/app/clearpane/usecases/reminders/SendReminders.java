package app.clearpane.usecases.reminders;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Reminds people of what waits for them, in one mail each, at the hour and in the rhythm the agency has set (Q2). */
@Component
public class SendReminders implements Recurring {
    private final List<AwaitsSomebody> rooms;
    private static final Logger LOG = LoggerFactory.getLogger(SendReminders.class);
    private final Projects projects;
    private final Reminders reminders;
    private final People people;
    private final AuditLog audit;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final TransactionTemplate transaction;
    private final WriteToContact toContact;

    SendReminders(
            List<AwaitsSomebody> rooms,
            Projects projects,
            Reminders reminders,
            People people,
            AuditLog audit,
            TheAgency agency,
            Words words,
            Lasting lasting,
            TransactionTemplate transaction,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.rooms = rooms;
        this.projects = projects;
        this.reminders = reminders;
        this.people = people;
        this.audit = audit;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.transaction = transaction;
    }

    private record Reminder(AwaitsSomebody room, AwaitsSomebody.Thing thing, Rhythm.Occasion occasion) {
        private Reminders.Key key() {
            return new Reminders.Key(thing.about(), thing.contact(), thing.due(), occasion.key());
        }
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("reminders", "${clearpane.reminders}", this::goRound);
    }

    /** Every ten minutes: those that have come since and did not go out yet. */
    public void goRound() {
        if (agency.isFounded()) {
            sendDue(agency.now());
        }
    }

    /** Those that have come at an instant. */
    public void sendDue(Instant now) {
        reminders.rhythm().ifPresent(rhythm -> send(rhythm, now));
    }

    private void send(Rhythm rhythm, Instant now) {
        Set<ProjectId> goingOn = projects.active().stream()
                .filter(project -> project.pausedAt() == null)
                .map(Project::id)
                .collect(Collectors.toSet());
        List<Reminder> come = rooms.stream()
                .flatMap(room -> room.now().stream()
                        .filter(thing -> goingOn.contains(thing.project()))
                        .flatMap(thing -> rhythm
                                .now(thing.due(), thing.since(), now, agency.calendar())
                                .map(occasion -> new Reminder(room, thing, occasion))
                                .stream()))
                .toList();
        Set<Reminders.Key> out = reminders.out(come.stream().map(Reminder::key).toList());
        Map<ContactId, List<Reminder>> byPerson = come.stream()
                .filter(one -> !out.contains(one.key()) && one.room().reaches(one.thing()))
                .sorted(Comparator.comparing(one -> one.thing().due()))
                .collect(Collectors.groupingBy(one -> one.thing().contact(), LinkedHashMap::new, Collectors.toList()));
        byPerson.forEach((contact, theirs) -> {
            try {
                people.contact(contact)
                        .ifPresent(person -> transaction.executeWithoutResult(status -> remind(person, theirs, now)));
            } catch (RuntimeException failed) {
                // the others are reminded all the same, and this one at the next round
                LOG.error("contact {} could not be reminded", contact, failed);
            }
        });
    }

    /** Where another server was quicker with one of them, it is left to it. */
    private void remind(Contact person, List<Reminder> theirs, Instant now) {
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
