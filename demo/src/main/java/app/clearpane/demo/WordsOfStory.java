package app.clearpane.demo;

import app.clearpane.core.agency.Relation;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.ProjectWords;
import app.clearpane.store.project.Projects;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What the projects of the story say of themselves, and how the agency stands to its clients. */
class WordsOfStory {
    private final ProjectWords words;
    private final Directory directory;
    private final Projects projects;
    private final HouseHabits habits;
    private final ProjectPeople onProject;
    private final app.clearpane.store.agency.People team;
    private final Clock clock;

    WordsOfStory(
            ProjectWords words,
            Directory directory,
            Projects projects,
            HouseHabits habits,
            ProjectPeople onProject,
            app.clearpane.store.agency.People team,
            Clock clock) {
        this.words = words;
        this.directory = directory;
        this.projects = projects;
        this.habits = habits;
        this.onProject = onProject;
        this.team = team;
        this.clock = clock;
    }

    void visitorCentre(ProjectId project) {
        write(
                project,
                AboutPart.PURPOSE,
                "A visitor centre that a ten-year-old finds her way through alone, from the gate to the star hall.",
                true);
        write(
                project,
                AboutPart.INCLUDED,
                "The star-hall panels, the visitor map, a short film, and the signs between the gate and the dome.",
                true);
        write(project, AboutPart.EXCLUDED, "Signs on the public road; the county sees to those.", true);
        write(project, AboutPart.MEASURE, "Nobody asks the keeper for the way on the first open evening.", false);
    }

    /** A line for each phase, in their order. */
    void phases(ProjectId project, String... lines) {
        List<Phase> phases = projects.phases(project);
        for (int i = 0; i < lines.length; i++) {
            Phase one = phases.get(i);
            projects.changePhase(
                    project,
                    new Phase(
                            one.id(), one.name(), one.startsOn(), one.endsOn(), one.stage(), lines[i], one.revision()));
        }
    }

    /** Who of us works on it, and how they are reached. */
    void ofUs(ProjectId project, Everybody person, String does, boolean shown) {
        team.team().stream()
                .filter(one -> one.name().equals(person.called().value()))
                .forEach(one -> {
                    onProject.put(project, one.id(), does, shown);
                    onProject.setProfile(
                            one.id(),
                            new ProjectPeople.Profile(
                                    "+44 1632 960 " + (100 + person.ordinal() * 7),
                                    person == Everybody.INES
                                            ? "Monday to Friday, 9 to 5"
                                            : "Monday to Thursday, 10 to 4"));
                });
    }

    /** How far it is with a prospect, and what is next. */
    void next(String client, String step, String move, LocalDate on) {
        habits.nameProspectSteps(List.of("first talk", "proposal sent", "deciding"));
        directory.all().stream()
                .filter(one -> one.name().equals(client))
                .forEach(one -> directory.plan(one.id(), new Directory.Ahead(step, move, on)));
    }

    private void write(ProjectId project, AboutPart part, String text, boolean shown) {
        words.write(project, new ProjectWords.Part(part, text, shown, 0));
    }

    void stands(ProjectId project, String said, Actor by) {
        words.say(project, new ProjectWords.Said(UUID.randomUUID(), said, by, clock.instant(), true));
    }

    void relates(String client, Relation relation) {
        directory.all().stream()
                .filter(one -> one.name().equals(client))
                .forEach(one -> directory.relate(one.id(), relation));
    }
}
