package app.clearpane.web.agency;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Contact;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.NamePeople;
import app.clearpane.web.project.ProjectFrame;
import app.clearpane.web.project.TakeInContact;
import app.clearpane.web.security.Person;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The people of a project: the client's contacts with their seats, and the team. */
@TeamController
class PeopleController {
  private final ProjectFrame frame;
  private final People people;
  private final Notes notes;
  private final Seats seats;
  private final Panes panes;
  private final TakeInContact takeIn;
  private final ProjectPeople onProject;
  private final NamePeople namePeople;
  private final SeatWishes wishes;

  PeopleController(ProjectFrame frame, People people, Notes notes, Seats seats, Panes panes, TakeInContact takeIn, ProjectPeople onProject, NamePeople namePeople, SeatWishes wishes) {
    this.frame = frame;
    this.people = people;
    this.notes = notes;
    this.seats = seats;
    this.panes = panes;
    this.takeIn = takeIn;
    this.onProject = onProject;
    this.namePeople = namePeople;
    this.wishes = wishes;
  }

  @GetMapping("/t/projects/{project}/people")
  String people(@PathVariable ProjectId project, @AuthenticationPrincipal Person.OfTeam me, Model model) {
    Project found = frame.above(model, project, "People");
    List<SeatRow> all = seats.ofProject(project);
    Map<?, String> paneNames = panes.ofProject(project).stream().collect(Collectors.toMap(Panes.Row::id, Panes.Row::name));
    List<Contact> contacts = people.contactsOf(found.client());
    model.addAttribute("contacts", contacts);
    model.addAttribute("seats", all.stream().collect(Collectors.groupingBy(SeatRow::contact)));
    model.addAttribute("guests", people.contacts(all.stream().map(SeatRow::contact).collect(Collectors.toSet())).stream().filter(contact -> !contact.client().equals(found.client())).toList());
    model.addAttribute("paneNames", paneNames);
    List<ProjectPeople.OfUs> ofUs = onProject.of(project);
    model.addAttribute("wishes", wishes.open(project));
    model.addAttribute("ofUs", ofUs);
    model.addAttribute("closed", onProject.isClosed(project));
    model.addAttribute("team", people.team().stream().filter(one -> ofUs.stream().noneMatch(named -> named.member().equals(one.id()))).toList());
    Set<UUID> subjects = Stream.concat(contacts.stream().map(contact -> contact.id().value()), all.stream().map(seat -> seat.contact().value())).collect(Collectors.toSet());
    model.addAttribute("notes", notes.on(subjects, me.memberId()).stream().collect(Collectors.groupingBy(Notes.Note::subject)));
    return "agency/people";
  }

  @PostMapping("/t/projects/{project}/of-us")
  @ForManagers
  String name(@PathVariable ProjectId project, @RequestParam(defaultValue = "") String member, @RequestParam(defaultValue = "") String does, @RequestParam(defaultValue = "false") boolean shown, @AuthenticationPrincipal Person me) {
    namePeople.name(project, member, does, shown, me.actor());
    return "redirect:/t/projects/" + project + "/people#of-us";
  }

  @PostMapping("/t/projects/{project}/of-us/{member}")
  @ForManagers
  String say(@PathVariable ProjectId project, @PathVariable TeamMemberId member, @RequestParam(defaultValue = "") String does, @RequestParam(defaultValue = "false") boolean shown, @AuthenticationPrincipal Person me) {
    namePeople.name(project, member.toString(), does, shown, me.actor());
    return "redirect:/t/projects/" + project + "/people#of-us";
  }

  @PostMapping("/t/projects/{project}/closed")
  @ForManagers
  String close(@PathVariable ProjectId project, @RequestParam boolean closed, @RequestParam(defaultValue = "false") boolean sure, @AuthenticationPrincipal Person me) {
    namePeople.close(project, closed, sure, me.actor());
    return "redirect:/t/projects/" + project + "/people#of-us";
  }

  @PostMapping("/t/projects/{project}/of-us/{member}/drop")
  @ForManagers
  String drop(@PathVariable ProjectId project, @PathVariable TeamMemberId member, @AuthenticationPrincipal Person me) {
    namePeople.drop(project, member, me.actor());
    return "redirect:/t/projects/" + project + "/people#of-us";
  }

  @PostMapping("/t/projects/{project}/people/{contact}")
  @ForManagers
  String change(@PathVariable ProjectId project, @PathVariable ContactId contact, @RequestParam String name, @RequestParam String email, @RequestParam String says, @AuthenticationPrincipal Person me) {
    takeIn.change(project, contact, new TakeInContact.Typed("", name, email, says), me.actor());
    return "redirect:/t/projects/" + project + "/people";
  }

  @PostMapping("/t/projects/{project}/people")
  @ForManagers
  String takeIn(@PathVariable ProjectId project, @RequestParam String client, @RequestParam String name, @RequestParam String email, @RequestParam String says,
      @AuthenticationPrincipal Person me) {
    takeIn.to(project, new TakeInContact.Typed(client, name, email, says), me.actor());
    return "redirect:/t/projects/" + project + "/people";
  }
}
