package app.clearpane.web.agency.team;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The people of a project: the client's contacts with their seats, and the team. */
@TeamController
class PeopleController {
    private final ProjectFrame frame;
    private final People people;
    private final Notes notes;
    private final Seats seats;
    private final Panes panes;
    private final ProjectPeople onProject;
    private final SeatWishes wishes;

    PeopleController(
            ProjectFrame frame,
            People people,
            Notes notes,
            Seats seats,
            Panes panes,
            ProjectPeople onProject,
            SeatWishes wishes) {
        this.frame = frame;
        this.people = people;
        this.notes = notes;
        this.seats = seats;
        this.panes = panes;
        this.onProject = onProject;
        this.wishes = wishes;
    }

    @GetMapping("/t/projects/{project}/people")
    String people(@PathVariable ProjectId project, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Project found = frame.above(model, project, "People");
        List<SeatRow> all = seats.ofProject(project);
        Map<?, String> paneNames =
                panes.ofProject(project).stream().collect(Collectors.toMap(Panes.Row::id, Panes.Row::name));
        List<Contact> contacts = people.contactsOf(found.client());
        model.addAttribute("contacts", contacts);
        model.addAttribute("seats", all.stream().collect(Collectors.groupingBy(SeatRow::contact)));
        model.addAttribute(
                "guests",
                people.contacts(all.stream().map(SeatRow::contact).collect(Collectors.toSet())).stream()
                        .filter(contact -> !contact.client().equals(found.client()))
                        .toList());
        model.addAttribute("paneNames", paneNames);
        List<ProjectPeople.OfUs> ofUs = onProject.peopleOf(project);
        model.addAttribute("wishes", wishes.open(project));
        model.addAttribute("ofUs", ofUs);
        model.addAttribute("closed", onProject.isClosed(project));
        model.addAttribute(
                "team",
                people.team().stream()
                        .filter(one ->
                                ofUs.stream().noneMatch(named -> named.member().equals(one.id())))
                        .toList());
        Set<UUID> subjects = Stream.concat(
                        contacts.stream().map(contact -> contact.id().value()),
                        all.stream().map(seat -> seat.contact().value()))
                .collect(Collectors.toSet());
        model.addAttribute(
                "notes",
                notes.about(subjects, me.memberId()).stream().collect(Collectors.groupingBy(Notes.Note::subject)));
        return "agency/people";
    }
}
