package app.clearpane.demo;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.security.LinkKeys;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** The addresses by which everybody of the story comes in. */
class WaysToSignIn {
    private final app.clearpane.store.agency.People people;
    private final Projects projects;
    private final Panes panes;
    private final Seats seats;
    private final LinkKeys keys;

    WaysToSignIn(app.clearpane.store.agency.People people, Projects projects, Panes panes, Seats seats, LinkKeys keys) {
        this.people = people;
        this.projects = projects;
        this.panes = panes;
        this.seats = seats;
        this.keys = keys;
    }

    /** A line for each of the team, then one for each seat. */
    List<String> print() {
        return Stream.concat(people.team().stream().map(this::team), lines().stream())
                .toList();
    }

    private String team(TeamMember member) {
        return "sign in as " + member.name() + " <" + member.email() + "> ("
                + member.role().name().toLowerCase(Locale.ROOT) + "): "
                + keys.lasting(new SignInLinks.Grant(null, member.id(), "/t", java.time.Instant.EPOCH, true));
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
}
