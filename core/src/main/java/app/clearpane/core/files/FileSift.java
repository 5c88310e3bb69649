package app.clearpane.core.files;

import app.clearpane.core.exposure.ItemId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Which files of a project are looked at, and in what order.
 *
 * @param in the folder whose files these are; empty for all of the project
 * @param find words that stand in their names; may be empty
 */
public record FileSift(Optional<ItemId> in, String find, Order order) {
    /** In what order files stand. */
    public enum Order {
        NAME("name", Comparator.comparing(ProjectFile::name, String.CASE_INSENSITIVE_ORDER)),
        NEWEST("newest", Comparator.comparing(ProjectFile::addedAt).reversed()),
        LARGEST("largest", Comparator.comparingLong(ProjectFile::size).reversed()),
        KIND("kind", Comparator.comparing(ProjectFile::mediaType).thenComparing(ProjectFile::name));

        private final String words;
        private final Comparator<ProjectFile> first;

        Order(String words, Comparator<ProjectFile> first) {
            this.words = words;
            this.first = first;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A page of what is found.
     *
     * @param number counted from 1
     * @param of how many pages there are, at least 1
     * @param found how many files there are on all of them
     */
    public record Page(List<ProjectFile> files, int number, int of, int found) {}

    /** The files that it means, in their order. */
    public List<ProjectFile> of(List<ProjectFile> all) {
        List<String> words = List.of(find.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return all.stream()
                .filter(file -> in.isEmpty() || in.equals(Optional.ofNullable(file.folder())))
                .filter(file -> words.stream().allMatch(file.name().toLowerCase(Locale.ROOT)::contains))
                .sorted(order.first.thenComparing(file -> file.id().value()))
                .toList();
    }

    /** One page of them. @param number taken to the nearest there is */
    public Page page(List<ProjectFile> all, int number, int size) {
        List<ProjectFile> found = of(all);
        int pages = Math.max(1, (found.size() + size - 1) / size);
        int at = Math.max(1, Math.min(number, pages));
        return new Page(found.subList((at - 1) * size, Math.min(at * size, found.size())), at, pages, found.size());
    }
}
