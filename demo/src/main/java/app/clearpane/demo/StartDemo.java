package app.clearpane.demo;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.reminders.SendReminders;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;

/** Tells the story where the data folder is still empty, then prints one line for each person to sign in by. */
class StartDemo {
    private final SendReminders reminders;
    private final DemoStory story;
    private final TheAgency agency;
    private final app.clearpane.store.agency.People people;
    private final Projects projects;
    private final Panes panes;
    private final Seats seats;
    private final LinkKeys keys;
    private final HouseSettings house;

    StartDemo(
            DemoStory story,
            TheAgency agency,
            app.clearpane.store.agency.People people,
            Projects projects,
            Panes panes,
            Seats seats,
            LinkKeys keys,
            HouseSettings house,
            SendReminders reminders) {
        this.reminders = reminders;
        this.story = story;
        this.agency = agency;
        this.people = people;
        this.projects = projects;
        this.panes = panes;
        this.seats = seats;
        this.keys = keys;
        this.house = house;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    void start() {
        if (!agency.isFounded()) {
            story.tell();
            reminders.goRound();
        }
        print("Clear Pane is at " + house.address() + " with the demo data in "
                + house.data().toAbsolutePath());
        people.team().forEach(this::team);
        lines().forEach(this::print);
        print("The team’s password is: " + Cast.PASSWORD);
        print("Post room, with every mail that was sent: " + house.address() + "/post-room");
        print("Ctrl-C stops it.");
    }

    private void team(TeamMember member) {
        print("sign in as " + member.name() + " <" + member.email() + "> ("
                + member.role().name().toLowerCase(Locale.ROOT) + "): "
                + keys.lasting(new SignInLinks.Grant(null, member.id(), "/t", java.time.Instant.EPOCH, true)));
    }

    private List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (Project project : Stream.concat(projects.active().stream(), projects.archived().stream())
                .toList()) {
            for (Panes.Row pane : panes.ofProject(project.id())) {
                seats.ofPane(pane.id()).forEach(seat -> lines.add(line(seat, pane)));
            }
        }
        return lines;
    }

    private String line(SeatRow seat, Panes.Row pane) {
        Contact contact = people.contact(seat.contact()).orElseThrow();
        String role = seat.leadVoice() ? "lead voice" : seat.role().name().toLowerCase(Locale.ROOT);
        return "sign in as " + contact.name() + " <" + contact.email() + "> (" + role + ", " + pane.name() + "): "
                + keys.lasting(new SignInLinks.Grant(
                        contact.id(), null, "/c/panes/" + pane.id(), java.time.Instant.EPOCH, true));
    }

    private void print(String line) {
        System.out.println(line);
    }
}
