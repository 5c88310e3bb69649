package app.clearpane.usecases.post;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Whom something may be addressed to. */
@Component
public class PossibleRecipients {
    private final Panes panes;
    private final Seats seats;
    private final People people;

    PossibleRecipients(Panes panes, Seats seats, People people) {
        this.panes = panes;
        this.seats = seats;
        this.people = people;
    }

    /**
     * Whom something of a project may be addressed to: its client's contacts, and whoever has a seat at one of its
     * panes.
     */
    public List<Contact> possible(Project project) {
        List<Contact> contacts = new ArrayList<>(people.contactsOf(project.client()));
        Set<ContactId> known = contacts.stream().map(Contact::id).collect(Collectors.toSet());
        Set<ContactId> seated = panes.ofProject(project.id()).stream()
                .flatMap(pane -> seats.ofPane(pane.id()).stream())
                .map(SeatRow::contact)
                .filter(contact -> !known.contains(contact))
                .collect(Collectors.toSet());
        contacts.addAll(people.contacts(seated));
        return contacts;
    }
}
