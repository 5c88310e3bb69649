package app.clearpane.core.files;

import app.clearpane.core.exposure.ItemId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The folders of a project as they lie in each other. A folder whose parent is not among them lies at the top, so that
 * nothing is lost from sight.
 */
public final class FolderTree {
    private final Map<ItemId, Folder> all = new HashMap<>();
    private final List<Row> rows = new ArrayList<>();

    /** A folder in its place. @param depth in how many others it lies */
    public record Row(Folder folder, int depth) {}

    public FolderTree(List<Folder> folders) {
        folders.forEach(folder -> all.put(folder.id(), folder));
        Map<Optional<ItemId>, List<Folder>> inside = folders.stream()
                .sorted(Comparator.comparing(Folder::name, String.CASE_INSENSITIVE_ORDER)
                        .thenComparing(folder -> folder.id().value()))
                .collect(Collectors.groupingBy(folder -> folder.parent().filter(all::containsKey)));
        Deque<Row> ahead = new ArrayDeque<>();
        push(ahead, inside.getOrDefault(Optional.<ItemId>empty(), List.of()), 0);
        while (!ahead.isEmpty()) {
            Row row = ahead.pop();
            rows.add(row);
            push(ahead, inside.getOrDefault(Optional.of(row.folder().id()), List.of()), row.depth() + 1);
        }
    }

    private static void push(Deque<Row> ahead, List<Folder> folders, int depth) {
        for (int i = folders.size() - 1; i >= 0; i--) {
            ahead.push(new Row(folders.get(i), depth));
        }
    }

    /** Each folder below the one it lies in, alike by name. */
    public List<Row> rows() {
        return List.copyOf(rows);
    }

    /** One of them. */
    public Optional<Folder> find(ItemId folder) {
        return Optional.ofNullable(all.get(folder));
    }

    /** The way to a folder, from the top to itself. */
    public List<Folder> path(ItemId folder) {
        List<Folder> path = new ArrayList<>();
        Set<ItemId> seen = new HashSet<>();
        Optional<Folder> at = find(folder);
        while (at.isPresent() && seen.add(at.get().id())) {
            path.add(0, at.get());
            at = at.get().parent().flatMap(this::find);
        }
        return path;
    }

    /** The way to a folder in words: “Artwork / Maps”; empty for the top. */
    public String pathWords(Optional<ItemId> folder) {
        return folder.map(one -> path(one).stream().map(Folder::name).collect(Collectors.joining(" / ")))
                .orElse("");
    }

    /** A folder and all that lie in it, at any depth. */
    public Set<ItemId> below(ItemId folder) {
        Set<ItemId> below = new LinkedHashSet<>();
        rows.stream()
                .map(row -> row.folder().id())
                .filter(one -> path(one).stream().anyMatch(above -> above.id().equals(folder)))
                .forEach(below::add);
        return below;
    }
}
