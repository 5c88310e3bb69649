package app.clearpane.usecases.reminders;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Reminds people of what waits for them, in one mail each, at the hour and in the rhythm the agency has set (Q2). */
@Component
public class SendReminders implements Recurring {
    private final List<AwaitsSomebody> rooms;
    private static final Logger LOG = LoggerFactory.getLogger(SendReminders.class);
    private final Projects projects;
    private final Reminders reminders;
    private final People people;
    private final TheAgency agency;
    private final RemindContact remind;

    SendReminders(
            List<AwaitsSomebody> rooms,
            Projects projects,
            Reminders reminders,
            People people,
            TheAgency agency,
            RemindContact remind) {
        this.remind = remind;
        this.rooms = rooms;
        this.projects = projects;
        this.reminders = reminders;
        this.people = people;
        this.agency = agency;
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
        List<RemindContact.Reminder> come = rooms.stream()
                .flatMap(room -> room.now().stream()
                        .filter(thing -> goingOn.contains(thing.project()))
                        .flatMap(thing -> rhythm
                                .now(thing.due(), thing.since(), now, agency.calendar())
                                .map(occasion -> new RemindContact.Reminder(room, thing, occasion))
                                .stream()))
                .toList();
        Set<Reminders.Key> out =
                reminders.out(come.stream().map(RemindContact.Reminder::key).toList());
        Map<ContactId, List<RemindContact.Reminder>> byPerson = come.stream()
                .filter(one -> !out.contains(one.key()) && one.room().reaches(one.thing()))
                .sorted(Comparator.comparing(one -> one.thing().due()))
                .collect(Collectors.groupingBy(one -> one.thing().contact(), LinkedHashMap::new, Collectors.toList()));
        byPerson.forEach((contact, theirs) -> {
            try {
                people.contact(contact).ifPresent(person -> remind.remind(person, theirs, now));
            } catch (RuntimeException failed) {
                // the others are reminded all the same, and this one at the next round
                LOG.error("contact {} could not be reminded", contact, failed);
            }
        });
    }
}
