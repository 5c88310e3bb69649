package app.clearpane.usecases.said;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.client.VisibleNames;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Where what is called by name is found. */
@Component
public class WaysOfNames {
    private final Items items;
    private final VisibleNames visibleNames;

    WaysOfNames(Items items, VisibleNames visibleNames) {
        this.items = items;
        this.visibleNames = visibleNames;
    }

    /** Where what is called by name in some marks is found, for the team. */
    public Function<ItemId, Optional<String>> waysOfTeam(List<Mark> marks) {
        Set<ItemId> called = called(marks);
        Map<ItemId, String> ways = called.isEmpty()
                ? Map.of()
                : items.rows(called).stream()
                        .filter(row -> !row.deleted())
                        .collect(Collectors.toMap(Items.Row::id, WaysOfNames::way));
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
                .map(Mark.Reference::called)
                .filter(Mark.Called.Thing.class::isInstance)
                .map(thing -> ((Mark.Called.Thing) thing).id())
                .collect(Collectors.toSet());
    }
}
