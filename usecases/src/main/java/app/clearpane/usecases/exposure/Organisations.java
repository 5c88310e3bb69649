package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Client;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.project.Projects;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Everybody's organisation. */
record Organisations(List<Client> all, List<Contact> contacts, Optional<ClientId> client) {
    static Organisations of(People people, Projects projects, ProjectId project) {
        return new Organisations(
                people.clients(), people.contacts(), projects.find(project).map(Project::client));
    }

    private Map<ContactId, ClientId> ofContact() {
        return contacts.stream().collect(Collectors.toMap(Contact::id, Contact::client));
    }

    /** Whether an organisation is neither the project's own client nor one of which somebody has one of these seats. */
    boolean isStranger(ClientId organisation, List<SeatRow> seats) {
        return client.filter(organisation::equals).isEmpty() && !seated(seats).contains(organisation);
    }

    /**
     * People by the name of their organisation: those of the project's client first, then those of whom somebody has a
     * seat, then all others, who are said to be of somebody else.
     */
    Map<String, List<Contact>> grouped(List<Contact> some, List<SeatRow> seats) {
        Set<ClientId> seated = seated(seats);
        client.ifPresent(seated::add);
        Map<ClientId, String> names = all.stream().collect(Collectors.toMap(Client::id, Client::name));
        Map<String, List<Contact>> groups = new LinkedHashMap<>();
        some.stream()
                .sorted(Comparator.comparing((Contact one) ->
                                client.filter(one.client()::equals).isEmpty())
                        .thenComparing(one -> !seated.contains(one.client()))
                        .thenComparing(one -> names.getOrDefault(one.client(), ""))
                        .thenComparing(Contact::name))
                .forEach(one -> groups.computeIfAbsent(
                                (!seated.contains(one.client()) ? "Of somebody else: " : "")
                                        + names.getOrDefault(one.client(), ""),
                                none -> new ArrayList<>())
                        .add(one));
        return groups;
    }

    private Set<ClientId> seated(List<SeatRow> seats) {
        Map<ContactId, ClientId> ofContact = ofContact();
        return seats.stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .map(seat -> ofContact.get(seat.contact()))
                .filter(Objects::nonNull)
                .collect(Collectors.toCollection(HashSet::new));
    }

    /** The names of those nobody of which has one of these seats; the project's own client is never among them. */
    List<String> without(List<SeatRow> seats) {
        Set<ClientId> seated = new HashSet<>();
        client.ifPresent(seated::add);
        Map<ContactId, ClientId> ofContact = ofContact();
        seats.forEach(seat -> Optional.ofNullable(ofContact.get(seat.contact())).ifPresent(seated::add));
        return all.stream()
                .filter(one -> !seated.contains(one.id()))
                .map(Client::name)
                .toList();
    }
}
