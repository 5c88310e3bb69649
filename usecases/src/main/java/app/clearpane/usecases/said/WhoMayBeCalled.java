package app.clearpane.usecases.said;

import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Naming;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.shell.TeamSight;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Whom somebody may call by name: those who read what is said, and whom they know of. */
@Component
class WhoMayBeCalled {
    private final People people;
    private final Projects projects;
    private final VisibleDeliverables visible;
    private final VisibleMarkups visibleMarks;
    private final TeamSight sight;
    private final WhoReads whoReads;

    WhoMayBeCalled(
            People people,
            Projects projects,
            VisibleDeliverables visible,
            VisibleMarkups visibleMarks,
            TeamSight sight,
            WhoReads whoReads) {
        this.people = people;
        this.projects = projects;
        this.visible = visible;
        this.visibleMarks = visibleMarks;
        this.sight = sight;
        this.whoReads = whoReads;
    }

    List<Naming.Known<Mark.Called>> people(CallByName.Where where, Speaker side) {
        if (side instanceof Speaker.Client client && client.viewer().byLink()) {
            return List.of();
        }
        Map<Mark.Called, String> named = new LinkedHashMap<>();
        if (side instanceof Speaker.Client client) {
            met(where, client.viewer()).forEach(author -> Mark.Called.person(author)
                    .ifPresent(called -> named.put(called, author.name())));
        } else {
            people.team().forEach(member -> named.put(new Mark.Called.Member(member.id()), member.name()));
            if (!where.forTeam()) {
                whoReads.seeing(where).forEach(seat -> named.put(new Mark.Called.Contact(seat.contact()), seat.name()));
            }
        }
        Map<TeamMemberId, TeamMember> team =
                people.team().stream().collect(Collectors.toMap(TeamMember::id, Function.identity()));
        named.keySet()
                .removeIf(called -> called instanceof Mark.Called.Member member
                        && team.containsKey(member.id())
                        && !sight.sees(
                                team.get(member.id()), where.deliverable().project()));
        Map<String, Long> firsts = named.values().stream()
                .map(name -> new Name(name).first().toLowerCase(Locale.ROOT))
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
        List<Naming.Known<Mark.Called>> known = new ArrayList<>();
        named.forEach((called, name) -> {
            known.add(new Naming.Known<>(Naming.PERSON, name, called));
            String first = new Name(name).first();
            if (Objects.requireNonNull(firsts.get(first.toLowerCase(Locale.ROOT))) == 1) {
                known.add(new Naming.Known<>(Naming.PERSON, first, called));
            }
        });
        return known;
    }

    /**
     * Those a viewer knows of anyway: who manages the project, who has said something they read, who is asked to sign
     * what they see.
     */
    private Set<Actor> met(CallByName.Where where, Viewer viewer) {
        Stream<Actor> manager = projects
                .find(viewer.project())
                .map(Project::manager)
                .flatMap(people::member)
                .map(WhoMayBeCalled::author)
                .stream();
        Stream<Actor> wrote = visibleMarks.marksOf(viewer, where.deliverable().id()).stream()
                .flatMap(mark -> Stream.concat(
                        Stream.of(mark.author()), mark.answers().stream().map(Mark.Answer::author)));
        Stream<Actor> sign =
                visible.round(viewer, where.version().id()).map(Round::signatories).orElse(List.of()).stream()
                        .map(seat -> new Actor.OfClient(seat.contact(), seat.name()));
        return Stream.of(manager, sign, wrote)
                .flatMap(Function.identity())
                .filter(author -> author.member().isPresent()
                        || author.contact()
                                .filter(one -> !one.equals(viewer.contact()))
                                .isPresent())
                .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
    }

    private static Actor author(TeamMember member) {
        return new Actor.OfTeam(member.id(), member.name());
    }
}
