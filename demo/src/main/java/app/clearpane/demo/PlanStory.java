package app.clearpane.demo;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.AgreeDates;
import app.clearpane.usecases.plan.NameSteps;
import app.clearpane.usecases.plan.SayOfTask;
import app.clearpane.usecases.plan.task.AddTask;
import app.clearpane.usecases.plan.task.ChangeTask;
import app.clearpane.usecases.plan.task.MoveTask;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * The plan of the visitor centre: agreed on at its start, now four working days late, three of them the client's, one
 * ours.
 */
class PlanStory {
    private static final int TODAY = 50;
    private final Cast cast;
    private final MoveTask moveTask;
    private final AgreeDates agreeDates;
    private final NameSteps nameSteps;
    private final SayOfTask sayOfTask;
    private final Projects projects;
    private final Map<String, ItemId> tasks = new HashMap<>();
    private final AddTask addTask;
    private final ChangeTask changeTask;

    PlanStory(
            Cast cast,
            MoveTask moveTask,
            AgreeDates agreeDates,
            NameSteps nameSteps,
            SayOfTask sayOfTask,
            Projects projects,
            AddTask addTask,
            ChangeTask changeTask) {
        this.changeTask = changeTask;
        this.addTask = addTask;
        this.cast = cast;
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
                cast.actor(Everybody.INES));
        cast.later(TODAY, 8, 45, () -> agreeDates.agree(project, cast.day(38), true, cast.actor(Everybody.INES)));
        happens();
    }

    private void discover(ProjectId project) {
        ours(project, "Discover", "Walk the grounds", 3, Everybody.RUKMINI);
        theirs(project, "Discover", "Photographs of the dome", 8, Everybody.JASPER, "Walk the grounds");
        ours(project, "Concept", "Draw the identity mark", 7, Everybody.TEO);
        theirs(project, "Concept", "The board looks at the mark", 4, Everybody.OTTOLINE, "Draw the identity mark");
        ours(
                project,
                "Concept",
                "Mood and route",
                8,
                Everybody.RUKMINI,
                "Photographs of the dome",
                "The board looks at the mark");
    }

    private void panels(ProjectId project) {
        ours(project, "Design", "Draw the star-hall panels", 9, Everybody.WANDA, "Mood and route");
        theirs(project, "Design", "The board looks at the panels", 2, Everybody.OTTOLINE, "Draw the star-hall panels");
        ours(project, "Design", "Panels, second version", 7, Everybody.WANDA, "The board looks at the panels");
        theirs(
                project,
                "Design",
                "The board looks at the panels again",
                2,
                Everybody.OTTOLINE,
                "Panels, second version");
        ours(
                project,
                "Artwork",
                "Panel artwork, six panels",
                21,
                Everybody.WANDA,
                "The board looks at the panels again");
        milestone(project, "Panels to the fabricators", "Panel artwork, six panels");
        theirs(
                project,
                "Fabrication",
                "Panels cut and painted",
                16,
                Everybody.DOV,
                "Panel artwork, six panels",
                "Set the Welsh names");
        ours(project, "Opening", "Fit the hall", 7, Everybody.RUKMINI, "Panels cut and painted");
        ours(project, "Opening", "Light it and rehearse the evening", 6, Everybody.INES, "Fit the hall");
        milestone(project, "Opening", "Light it and rehearse the evening", "Print the map");
    }

    private void map(ProjectId project) {
        ours(project, "Design", "Draw the visitor map", 14, Everybody.TEO, "Mood and route");
        theirs(project, "Design", "The board looks at the map", 2, Everybody.OTTOLINE, "Draw the visitor map");
        ours(project, "Design", "Map, second version", 6, Everybody.TEO, "The board looks at the map");
        theirs(project, "Design", "The board looks at the map again", 3, Everybody.OTTOLINE, "Map, second version");
        ours(project, "Artwork", "Map artwork", 4, Everybody.TEO, "The board looks at the map again");
        ours(project, "Opening", "Print the map", 8, Everybody.INES, "Map artwork");
    }

    private void others(ProjectId project) {
        ItemId texts = ours(project, "Design", "Panel texts", 1, Everybody.WANDA);
        part(project, texts, "Write the six texts", 9, Side.OURS, hands(Everybody.WANDA), "Mood and route");
        part(
                project,
                texts,
                "Welsh names of the wandering stars",
                3,
                Side.CLIENTS,
                hands(Everybody.MIRELA),
                "Write the six texts");
        part(
                project,
                texts,
                "Set the Welsh names",
                1,
                Side.OURS,
                hands(Everybody.WANDA),
                "Welsh names of the wandering stars");
        ours(project, "Design", "“Tonight’s sky” microsite", 14, Everybody.WANDA, "Map, second version");
        ours(project, "Artwork", "Opening trailer, twenty seconds", 12, Everybody.RUKMINI, "Map, second version");
        ours(project, "Artwork", "Compare two paint shops, internal", 3, Everybody.INES, "Map, second version");
    }

    /** What happened, by the working day since the start. */
    private void happens() {
        began(0, "Walk the grounds", Everybody.RUKMINI);
        began(0, "Draw the identity mark", Everybody.TEO);
        done(2, "Walk the grounds", Everybody.RUKMINI);
        done(6, "Draw the identity mark", Everybody.TEO);
        done(12, "The board looks at the mark", Everybody.OTTOLINE);
        done(13, "Photographs of the dome", Everybody.JASPER);
        began(14, "Mood and route", Everybody.RUKMINI);
        done(21, "Mood and route", Everybody.RUKMINI);
        began(22, "Draw the star-hall panels", Everybody.WANDA);
        began(22, "Draw the visitor map", Everybody.TEO);
        done(30, "Draw the star-hall panels", Everybody.WANDA);
        done(32, "The board looks at the panels", Everybody.OTTOLINE);
        began(33, "Panels, second version", Everybody.WANDA);
        began(34, "Write the six texts", Everybody.WANDA);
        done(38, "Draw the visitor map", Everybody.TEO);
        done(40, "The board looks at the map", Everybody.OTTOLINE);
        done(40, "Panels, second version", Everybody.WANDA);
        began(41, "Map, second version", Everybody.TEO);
        done(42, "The board looks at the panels again", Everybody.OTTOLINE);
        began(43, "Panel artwork, six panels", Everybody.WANDA);
        began(44, "“Tonight’s sky” microsite", Everybody.WANDA);
        began(46, "Opening trailer, twenty seconds", Everybody.RUKMINI);
        done(47, "Write the six texts", Everybody.WANDA);
        done(47, "Map, second version", Everybody.TEO);
    }

    /** What was asked of the board in the last days. */
    void asked(ProjectId project) {
        cast.later(
                7,
                10,
                5,
                () -> given(
                        project, "Discover", "Names of the donors for the wall", Everybody.OTTOLINE, cast.day(-1), 4));
        cast.later(3, 9, 50, () -> {
            ItemId hours = given(project, "Design", "Opening hours for the leaflet", Everybody.JASPER, cast.day(2), 4);
            sayOfTask.byTeam(hours, "The winter hours too, if they differ.", false, cast.as(Everybody.INES));
        });
    }

    private ItemId given(ProjectId project, String phase, String name, Everybody person, LocalDate due, int days) {
        return addTask.add(
                project,
                new AddTask.Wanted(
                        name,
                        Optional.empty(),
                        phaseOf(project, phase),
                        days,
                        Optional.of(due),
                        Side.CLIENTS,
                        hands(person),
                        List.of(),
                        Optional.empty()),
                cast.as(Everybody.INES));
    }

    private void began(int day, String name, Everybody by) {
        cast.later(TODAY - day, 9, 20, () -> moveTask.move(task(name), Stage.UNDER_WAY, cast.actor(by)));
    }

    private void done(int day, String name, Everybody by) {
        cast.later(TODAY - day, 16, 40, () -> moveTask.move(task(name), Stage.DONE, cast.actor(by)));
    }

    private ItemId task(String name) {
        return Objects.requireNonNull(tasks.get(name), name);
    }

    private ItemId ours(ProjectId project, String phase, String name, int days, Everybody who, String... after) {
        return add(project, phaseOf(project, phase), Optional.empty(), name, days, Side.OURS, hands(who), after);
    }

    private ItemId theirs(ProjectId project, String phase, String name, int days, Everybody who, String... after) {
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
        ItemId id = addTask.add(
                project,
                new AddTask.Wanted(name, parent, phase, days, Optional.empty(), side, hands, links, Optional.empty()),
                cast.as(Everybody.INES));
        tasks.put(name, id);
        return id;
    }

    private PlannedTask.Hands hands(Everybody person) {
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
                changeTask.waitsFor(id, task(task), cast.as(Everybody.INES));
            }
        }
    }
}
