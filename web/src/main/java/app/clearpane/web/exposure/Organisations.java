package app.clearpane.web.exposure;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Client;
import app.clearpane.store.agency.Contact;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Everybody's organisation. */
record Organisations(List<Client> all, Map<ContactId, ClientId> ofContact, Optional<ClientId> client) {
  static Organisations of(People people, Projects projects, ProjectId project) {
    return new Organisations(people.clients(), people.contacts().stream().collect(Collectors.toMap(Contact::id, Contact::client)), projects.find(project).map(Project::client));
  }

  /** The names of those nobody of which has one of these seats; the project's own client is never among them. */
  List<String> without(List<SeatRow> seats) {
    Set<ClientId> seated = new HashSet<>();
    client.ifPresent(seated::add);
    seats.forEach(seat -> Optional.ofNullable(ofContact.get(seat.contact())).ifPresent(seated::add));
    return all.stream().filter(one -> !seated.contains(one.id())).map(Client::name).toList();
  }
}
