package app.clearpane.web.demo;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.project.Phase;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.AgreeDates;
import app.clearpane.usecases.plan.MoveTask;
import app.clearpane.usecases.plan.NameSteps;
import app.clearpane.usecases.plan.PlanTask;
import app.clearpane.usecases.plan.SayOfTask;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * The plan of the visitor centre: agreed on at its start, now four working days late, three of them the client's, one
 * ours.
 */
@Component
@Profile("demo")
class PlanStory {
    private static final int TODAY = 50;
    private final Cast cast;
    private final PlanTask planTask;
    private final MoveTask moveTask;
    private final AgreeDates agreeDates;
    private final NameSteps nameSteps;
    private final SayOfTask sayOfTask;
    private final Projects projects;
    private final Map<String, ItemId> tasks = new HashMap<>();

    PlanStory(
            Cast cast,
            PlanTask planTask,
            MoveTask moveTask,
            AgreeDates agreeDates,
            NameSteps nameSteps,
            SayOfTask sayOfTask,
            Projects projects) {
        this.cast = cast;
        this.planTask = planTask;
        this.moveTask = moveTask;
        this.agreeDates = agreeDates;
        this.nameSteps = nameSteps;
        this.sayOfTask = sayOfTask;
        this.projects = projects;
    }

    /** Plans it before the start, and lets happen on each day what happened. The project began 50 working days ago. */
    void visitorCentre(ProjectId project) {
        discover(project);
        map(project);
        others(project);
        panels(project);
        nameSteps.typed(
                project,
                Map.of("UNDER_WAY", "drawing, making", "IN_CHECK", "looked over here, on the spot"),
                cast.by(People.INES));
        cast.later(TODAY, 8, 45, () -> agreeDates.agree(project, cast.day(38), true, cast.by(People.INES)));
        happens();
    }

    private void discover(ProjectId project) {
        ours(project, "Discover", "Walk the grounds", 3, People.RUKMINI);
        theirs(project, "Discover", "Photographs of the dome", 8, People.JASPER, "Walk the grounds");
        ours(project, "Concept", "Draw the identity mark", 7, People.TEO);
        theirs(project, "Concept", "The board looks at the mark", 4, People.OTTOLINE, "Draw the identity mark");
        ours(
                project,
                "Concept",
                "Mood and route",
                8,
                People.RUKMINI,
                "Photographs of the dome",
                "The board looks at the mark");
    }

    private void panels(ProjectId project) {
        ours(project, "Design", "Draw the star-hall panels", 9, People.WANDA, "Mood and route");
        theirs(project, "Design", "The board looks at the panels", 2, People.OTTOLINE, "Draw the star-hall panels");
        ours(project, "Design", "Panels, second version", 7, People.WANDA, "The board looks at the panels");
        theirs(project, "Design", "The board looks at the panels again", 2, People.OTTOLINE, "Panels, second version");
        ours(project, "Artwork", "Panel artwork, six panels", 21, People.WANDA, "The board looks at the panels again");
        milestone(project, "Panels to the fabricators", "Panel artwork, six panels");
        theirs(
                project,
                "Fabrication",
                "Panels cut and painted",
                16,
                People.DOV,
                "Panel artwork, six panels",
                "Set the Welsh names");
        ours(project, "Opening", "Fit the hall", 7, People.RUKMINI, "Panels cut and painted");
        ours(project, "Opening", "Light it and rehearse the evening", 6, People.INES, "Fit the hall");
        milestone(project, "Opening", "Light it and rehearse the evening", "Print the map");
    }

    private void map(ProjectId project) {
        ours(project, "Design", "Draw the visitor map", 14, People.TEO, "Mood and route");
        theirs(project, "Design", "The board looks at the map", 2, People.OTTOLINE, "Draw the visitor map");
        ours(project, "Design", "Map, second version", 6, People.TEO, "The board looks at the map");
        theirs(project, "Design", "The board looks at the map again", 3, People.OTTOLINE, "Map, second version");
        ours(project, "Artwork", "Map artwork", 4, People.TEO, "The board looks at the map again");
        ours(project, "Opening", "Print the map", 8, People.INES, "Map artwork");
    }

    private void others(ProjectId project) {
        ItemId texts = ours(project, "Design", "Panel texts", 1, People.WANDA);
        part(project, texts, "Write the six texts", 9, Side.OURS, hands(People.WANDA), "Mood and route");
        part(
                project,
                texts,
                "Welsh names of the wandering stars",
                3,
                Side.CLIENTS,
                hands(People.MIRELA),
                "Write the six texts");
        part(
                project,
                texts,
                "Set the Welsh names",
                1,
                Side.OURS,
                hands(People.WANDA),
                "Welsh names of the wandering stars");
        ours(project, "Design", "“Tonight’s sky” microsite", 14, People.WANDA, "Map, second version");
        ours(project, "Artwork", "Opening trailer, twenty seconds", 12, People.RUKMINI, "Map, second version");
        ours(project, "Artwork", "Compare two paint shops, internal", 3, People.INES, "Map, second version");
    }

    /** What happened, by the working day since the start. */
    private void happens() {
        began(0, "Walk the grounds", People.RUKMINI);
        began(0, "Draw the identity mark", People.TEO);
        done(2, "Walk the grounds", People.RUKMINI);
        done(6, "Draw the identity mark", People.TEO);
        done(12, "The board looks at the mark", People.OTTOLINE);
        done(13, "Photographs of the dome", People.JASPER);
        began(14, "Mood and route", People.RUKMINI);
        done(21, "Mood and route", People.RUKMINI);
        began(22, "Draw the star-hall panels", People.WANDA);
        began(22, "Draw the visitor map", People.TEO);
        done(30, "Draw the star-hall panels", People.WANDA);
        done(32, "The board looks at the panels", People.OTTOLINE);
        began(33, "Panels, second version", People.WANDA);
        began(34, "Write the six texts", People.WANDA);
        done(38, "Draw the visitor map", People.TEO);
        done(40, "The board looks at the map", People.OTTOLINE);
        done(40, "Panels, second version", People.WANDA);
        began(41, "Map, second version", People.TEO);
        done(42, "The board looks at the panels again", People.OTTOLINE);
        began(43, "Panel artwork, six panels", People.WANDA);
        began(44, "“Tonight’s sky” microsite", People.WANDA);
        began(46, "Opening trailer, twenty seconds", People.RUKMINI);
        done(47, "Write the six texts", People.WANDA);
        done(47, "Map, second version", People.TEO);
    }

    /** What was asked of the board in the last days. */
    void asked(ProjectId project) {
        cast.later(
                7,
                10,
                5,
                () -> given(project, "Discover", "Names of the donors for the wall", People.OTTOLINE, cast.day(-1), 4));
        cast.later(3, 9, 50, () -> {
            ItemId hours = given(project, "Design", "Opening hours for the leaflet", People.JASPER, cast.day(2), 4);
            sayOfTask.byTeam(hours, "The winter hours too, if they differ.", false, cast.as(People.INES));
        });
    }

    private ItemId given(ProjectId project, String phase, String name, People person, LocalDate due, int days) {
        return planTask.add(
                project,
                new PlanTask.Wanted(
                        name,
                        Optional.empty(),
                        phaseOf(project, phase),
                        days,
                        Optional.of(due),
                        Side.CLIENTS,
                        hands(person),
                        List.of(),
                        Optional.empty()),
                cast.as(People.INES));
    }

    private void began(int day, String name, People by) {
        cast.later(TODAY - day, 9, 20, () -> moveTask.move(task(name), Stage.UNDER_WAY, cast.by(by)));
    }

    private void done(int day, String name, People by) {
        cast.later(TODAY - day, 16, 40, () -> moveTask.move(task(name), Stage.DONE, cast.by(by)));
    }

    private ItemId task(String name) {
        return Objects.requireNonNull(tasks.get(name), name);
    }

    private ItemId ours(ProjectId project, String phase, String name, int days, People who, String... after) {
        return add(project, phaseOf(project, phase), Optional.empty(), name, days, Side.OURS, hands(who), after);
    }

    private ItemId theirs(ProjectId project, String phase, String name, int days, People who, String... after) {
        return add(project, phaseOf(project, phase), Optional.empty(), name, days, Side.CLIENTS, hands(who), after);
    }

    private void part(
            ProjectId project,
            ItemId whole,
            String name,
            int days,
            Side side,
            PlannedTask.Hands hands,
            String... after) {
        add(project, Optional.empty(), Optional.of(whole), name, days, side, hands, after);
    }

    private ItemId add(
            ProjectId project,
            Optional<UUID> phase,
            Optional<ItemId> parent,
            String name,
            int days,
            Side side,
            PlannedTask.Hands hands,
            String... after) {
        List<Task.After> links = List.of(after).stream()
                .filter(tasks::containsKey)
                .map(before -> new Task.After(task(before), 0))
                .toList();
        ItemId id = planTask.add(
                project,
                new PlanTask.Wanted(name, parent, phase, days, Optional.empty(), side, hands, links, Optional.empty()),
                cast.as(People.INES));
        tasks.put(name, id);
        return id;
    }

    private PlannedTask.Hands hands(People person) {
        return person.ofTeam()
                ? new PlannedTask.Hands(
                        Optional.empty(),
                        Optional.of(cast.as(person).memberId()),
                        person.called().value())
                : new PlannedTask.Hands(
                        Optional.of(cast.contact(person)),
                        Optional.empty(),
                        person.called().value());
    }

    private Optional<UUID> phaseOf(ProjectId project, String name) {
        return projects.phases(project).stream()
                .filter(phase -> phase.name().equals(name))
                .map(Phase::id)
                .findFirst();
    }

    private void milestone(ProjectId project, String name, String... waitsFor) {
        ItemId id = projects.milestones(project).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
        for (String task : waitsFor) {
            if (tasks.containsKey(task)) {
                planTask.waitsFor(id, task(task), cast.as(People.INES));
            }
        }
    }
}
