package app.clearpane.usecases.said;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Naming;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.exposure.client.VisibleNames;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.shell.TeamSight;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Who and what can be called by name in a note on a version: people who may read the note, and things that its author
 * sees.
 */
@Component
public class CallByName {
    private static final int OFFERED = 8;
    private final People people;
    private final Seats seats;
    private final Items items;
    private final Projects projects;
    private final Viewers viewers;
    private final VisibleDeliverables visible;
    private final VisibleMarkups visibleMarks;
    private final VisibleNames visibleNames;
    private final TeamSight sight;
    private final Clock clock;

    CallByName(
            People people,
            Seats seats,
            Items items,
            Projects projects,
            Viewers viewers,
            VisibleDeliverables visible,
            VisibleMarkups visibleMarks,
            VisibleNames visibleNames,
            TeamSight sight,
            Clock clock) {
        this.people = people;
        this.seats = seats;
        this.items = items;
        this.projects = projects;
        this.viewers = viewers;
        this.visible = visible;
        this.visibleMarks = visibleMarks;
        this.visibleNames = visibleNames;
        this.sight = sight;
        this.clock = clock;
    }

    /** Where something is said. @param forTeam whether clients never see it */
    public record Where(Deliverable deliverable, Version version, boolean forTeam) {}

    /** Whom and what a text calls by name, each once. */
    public List<Mark.Reference> in(String text, Where where, Speaker side) {
        List<Naming.Known<Mark.Reference>> known = new ArrayList<>();
        if (text.indexOf(Naming.PERSON) >= 0) {
            known.addAll(people(where, side));
        }
        if (text.indexOf(Naming.THING) >= 0) {
            known.addAll(things(where, side));
        }
        return Naming.cut(text, known).stream()
                .flatMap(piece -> piece.named().stream()
                        .map(named -> new Mark.Reference(piece.text(), named.item(), named.member(), named.contact())))
                .distinct()
                .toList();
    }

    /** What to offer somebody who has begun to write a name, with its sign; at most a few. */
    public List<String> offered(String begun, Where where, Speaker side) {
        if (begun.isEmpty()) {
            return List.of();
        }
        String words = begun.substring(1).toLowerCase(Locale.ROOT);
        List<Naming.Known<Mark.Reference>> all =
                switch (begun.charAt(0)) {
                    case Naming.PERSON -> people(where, side);
                    case Naming.THING -> things(where, side);
                    default -> List.of();
                };
        Map<Object, String> offered = new LinkedHashMap<>();
        all.stream()
                .filter(one -> one.name().toLowerCase(Locale.ROOT).contains(words))
                .forEach(one ->
                        offered.merge(what(one.what()), one.written(), (a, b) -> a.length() >= b.length() ? a : b));
        return offered.values().stream()
                .sorted((a, b) -> Boolean.compare(begins(b, words), begins(a, words)))
                .limit(OFFERED)
                .toList();
    }

    private static boolean begins(String written, String words) {
        return written.substring(1).toLowerCase(Locale.ROOT).startsWith(words);
    }

    private static Object what(Mark.Reference reference) {
        return Stream.of(reference.item(), reference.member(), reference.contact())
                .filter(java.util.Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }

    /** Whether whoever has a link sees where something is said. */
    boolean readsByLink(SeatId link, Where where) {
        return viewers.lookingThrough(link, Viewer.Sight.NOW, clock.instant())
                .filter(viewer -> visible.version(viewer, where.version().id()).isPresent())
                .isPresent();
    }

    private List<Naming.Known<Mark.Reference>> people(Where where, Speaker side) {
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
                seeing(where)
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
    private Set<Mark.Author> met(Where where, Viewer viewer) {
        Stream<Mark.Author> manager =
                projects
                        .find(viewer.project())
                        .map(Project::manager)
                        .flatMap(people::member)
                        .map(CallByName::author)
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

    /** Those with a seat through which the version is seen now, their link opened or not. */
    private List<SeatRow> seeing(Where where) {
        return seats.ofPane(where.deliverable().pane()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .filter(seat -> sees(seat, where.version()))
                .toList();
    }

    private boolean sees(SeatRow seat, Version version) {
        return viewers.lookingThrough(seat.id(), Viewer.Sight.NOW, clock.instant())
                .flatMap(viewer -> visible.version(viewer, version.id()))
                .isPresent();
    }

    /** Whether a contact may read what is said there; empty if not, else through which seat. */
    public Optional<SeatRow> reads(ContactId contact, Where where) {
        return where.forTeam()
                ? Optional.empty()
                : seats.ofPane(where.deliverable().pane()).stream()
                        .filter(seat -> seat.contact().equals(contact)
                                && seat.state() != SeatState.ENDED
                                && sees(seat, where.version()))
                        .findFirst();
    }

    /** One of the team. */
    Optional<TeamMember> member(TeamMemberId id) {
        return people.member(id);
    }

    private List<Naming.Known<Mark.Reference>> things(Where where, Speaker side) {
        Stream<VisibleNames.Named> all = side instanceof Speaker.Client client
                ? visibleNames.all(client.viewer()).stream()
                : items.named(where.deliverable().project()).stream()
                        .map(row -> new VisibleNames.Named(row.id(), row.kind(), row.name()));
        return all.map(one ->
                        new Naming.Known<>(Naming.THING, one.name(), new Mark.Reference("", one.id(), null, null)))
                .toList();
    }

    /** Where what is called by name in some marks is found, for the team. */
    public Function<ItemId, Optional<String>> waysOfTeam(List<Mark> marks) {
        Set<ItemId> called = called(marks);
        Map<ItemId, String> ways = called.isEmpty()
                ? Map.of()
                : items.rows(called).stream()
                        .filter(row -> !row.deleted())
                        .collect(Collectors.toMap(Items.Row::id, CallByName::way));
        return id -> Optional.ofNullable(ways.get(id));
    }

    private static String way(Items.Row row) {
        return switch (row.kind()) {
            case DELIVERABLES -> "/t/deliverables/" + row.id();
            case TASKS -> "/t/tasks/" + row.id();
            case FILES -> "/t/projects/" + row.project() + "/files";
            case CONCERNS -> "/t/projects/" + row.project() + "/concerns";
            default -> "/t/projects/" + row.project() + "/plan";
        };
    }

    /** The same for a viewer: only what they see. @param versions all they see, oldest first */
    public Function<ItemId, Optional<String>> ways(
            Viewer viewer, String base, List<Mark> marks, List<Version> versions) {
        Set<ItemId> called = called(marks);
        Map<ItemId, ContentKind> kinds = called.isEmpty()
                ? Map.of()
                : visibleNames.namesOf(viewer, called).stream()
                        .collect(Collectors.toMap(VisibleNames.Named::id, VisibleNames.Named::kind));
        return id -> Optional.ofNullable(kinds.get(id)).flatMap(kind -> switch (kind) {
            case DELIVERABLES ->
                versions.stream()
                        .filter(version -> version.deliverable().equals(id))
                        .reduce((earlier, later) -> later)
                        .map(version -> base + "/versions/" + version.id());
            case TASKS -> Optional.of(base + "/tasks/" + id);
            case FILES -> Optional.of(base + "/files/" + id);
            default -> Optional.of(base);
        });
    }

    private static Set<ItemId> called(List<Mark> marks) {
        return marks.stream()
                .flatMap(mark -> Stream.concat(
                        Stream.of(mark.beside().with()), mark.answers().stream().map(Mark.Answer::with)))
                .flatMap(with -> with.references().stream())
                .map(Mark.Reference::item)
                .filter(java.util.Objects::nonNull)
                .collect(Collectors.toSet());
    }
}
