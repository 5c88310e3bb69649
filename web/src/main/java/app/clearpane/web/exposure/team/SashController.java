package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.web.shell.frame.TeamController;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The sash: beside any page of a project, what somebody sees of the thing in hand. */
@TeamController
class SashController {
    /** Where in a pane the thing in hand stands: a version, perhaps at a sheet, or a section. */
    private static final Pattern IN_HAND =
            Pattern.compile("(/versions/[0-9a-f-]{36}(\\?page=\\d{1,4})?)?(#[a-z]{1,12})?");

    private final Panes panes;
    private final Seats seats;
    private final LinkSeats links;
    private final Clock clock;

    SashController(Panes panes, Seats seats, LinkSeats links, Clock clock) {
        this.links = links;
        this.clock = clock;
        this.panes = panes;
        this.seats = seats;
    }

    /** Somebody one can look through as. */
    record Eye(SeatId id, String name, boolean cameIn) {}

    /** A pane and those who have a seat or a link there. */
    record Audience(String name, List<Eye> seats) {}

    @GetMapping("/t/projects/{project}/sash")
    String sash(
            @PathVariable ProjectId project,
            @RequestParam Optional<SeatId> through,
            @RequestParam(defaultValue = "now") String sight,
            @RequestParam(defaultValue = "") String hand,
            Model model) {
        Map<PaneId, List<Eye>> eyes = new HashMap<>();
        seats.ofProject(project).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .forEach(seat -> eyes.computeIfAbsent(seat.pane(), none -> new ArrayList<>())
                        .add(new Eye(seat.id(), seat.name(), seat.state() == SeatState.ACCEPTED)));
        links.ofProject(project).stream()
                .filter(link -> link.opensAt(clock.instant()))
                .forEach(link -> eyes.computeIfAbsent(link.pane(), none -> new ArrayList<>())
                        .add(new Eye(link.id(), "the link “" + link.name() + "”", true)));
        List<Audience> audiences = panes.ofProject(project).stream()
                .filter(pane -> eyes.containsKey(pane.id()))
                .map(pane -> new Audience(pane.name(), Objects.requireNonNull(eyes.get(pane.id()))))
                .toList();
        List<Eye> all = audiences.stream()
                .flatMap(audience -> audience.seats().stream())
                .toList();
        model.addAttribute("project", project);
        model.addAttribute("audiences", audiences);
        model.addAttribute(
                "through",
                all.stream()
                        .filter(seat -> through.filter(seat.id()::equals).isPresent())
                        .findFirst()
                        .or(() -> all.stream().findFirst())
                        .orElse(null));
        model.addAttribute("sight", sight.equals("after-publishing") ? sight : "now");
        model.addAttribute("hand", IN_HAND.matcher(hand).matches() ? hand : "");
        return "exposure/_sash";
    }
}
