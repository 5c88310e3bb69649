package app.clearpane.usecases.said;

import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Naming;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewer;
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

    List<Naming.Known<Mark.Reference>> people(CallByName.Where where, Speaker side) {
        if (side instanceof Speaker.Client client && client.viewer().byLink()) {
            return List.of();
        }
        Map<Mark.Reference, String> named = new LinkedHashMap<>();
        if (side instanceof Speaker.Client client) {
            met(where, client.viewer())
                    .forEach(author ->
                            named.put(new Mark.Reference("", null, author.member(), author.contact()), author.name()));
        } else {
            people.team().forEach(member -> named.put(new Mark.Reference("", null, member.id(), null), member.name()));
            if (!where.forTeam()) {
                whoReads.seeing(where)
                        .forEach(seat -> named.put(new Mark.Reference("", null, null, seat.contact()), seat.name()));
            }
        }
        Map<TeamMemberId, TeamMember> team =
                people.team().stream().collect(Collectors.toMap(TeamMember::id, Function.identity()));
        named.keySet()
                .removeIf(reference -> reference.member() != null
                        && team.containsKey(reference.member())
                        && !sight.sees(
                                team.get(reference.member()),
                                where.deliverable().project()));
        Map<String, Long> firsts = named.values().stream()
                .map(name -> new Name(name).first().toLowerCase(Locale.ROOT))
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
        List<Naming.Known<Mark.Reference>> known = new ArrayList<>();
        named.forEach((reference, name) -> {
            known.add(new Naming.Known<>(Naming.PERSON, name, reference));
            String first = new Name(name).first();
            if (Objects.requireNonNull(firsts.get(first.toLowerCase(Locale.ROOT))) == 1) {
                known.add(new Naming.Known<>(Naming.PERSON, first, reference));
            }
        });
        return known;
    }

    /**
     * Those a viewer knows of anyway: who manages the project, who has said something they read, who is asked to sign
     * what they see.
     */
    private Set<Mark.Author> met(CallByName.Where where, Viewer viewer) {
        Stream<Mark.Author> manager = projects
                .find(viewer.project())
                .map(Project::manager)
                .flatMap(people::member)
                .map(WhoMayBeCalled::author)
                .stream();
        Stream<Mark.Author> wrote = visibleMarks
                .marksOf(viewer, where.deliverable().id())
                .stream()
                .flatMap(mark -> Stream.concat(
                        Stream.of(mark.author()), mark.answers().stream().map(Mark.Answer::author)));
        Stream<Mark.Author> sign =
                visible.round(viewer, where.version().id()).map(Round::signatories).orElse(List.of()).stream()
                        .map(seat -> new Mark.Author(seat.name(), seat.contact(), null));
        return Stream.of(manager, sign, wrote)
                .flatMap(Function.identity())
                .filter(author -> author.member() != null
                        || author.contact() != null && !author.contact().equals(viewer.contact()))
                .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
    }

    private static Mark.Author author(TeamMember member) {
        return new Mark.Author(member.name(), null, member.id());
    }
}
