package app.clearpane.core.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Folders in each other, and which files are looked at. */
class FolderTreeTest {
    private static final Instant NOW = Instant.parse("2027-03-24T09:30:00Z");

    private static ItemId id(String name) {
        return new ItemId(UUID.nameUUIDFromBytes(name.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
    }

    /** @param lines “Maps<Artwork” for Maps in Artwork */
    private static FolderTree tree(String lines) {
        return new FolderTree(Arrays.stream(lines.split(" "))
                .map(line -> line.split("<"))
                .map(line -> new Folder(
                        id(line[0]), line[0], line.length > 1 ? Optional.of(id(line[1])) : Optional.empty(), ""))
                .toList());
    }

    @Test
    void eachStandsBelowWhatItLiesIn() {
        FolderTree tree = tree("Photographs Maps<Artwork Artwork Old<Maps Lost<Gone");
        assertThat(tree.rows().stream()
                        .map(row -> "-".repeat(row.depth()) + row.folder().name()))
                .containsExactly("Artwork", "-Maps", "--Old", "Lost", "Photographs");
        assertThat(tree.pathWords(Optional.of(id("Old")))).isEqualTo("Artwork / Maps / Old");
        assertThat(tree.pathWords(Optional.empty())).isEmpty();
        assertThat(tree.below(id("Artwork"))).containsExactly(id("Artwork"), id("Maps"), id("Old"));
    }

    @Test
    void aCircleIsNoEndlessWay() {
        FolderTree tree = tree("A<B B<A C");
        assertThat(tree.path(id("A"))).hasSize(2);
        assertThat(tree.rows()).extracting(row -> row.folder().name()).containsExactly("C");
    }

    @RepeatedTest(20)
    void eachIsThereOnceAndBelowItsParent(RepetitionInfo which) {
        Random random = new Random(which.getCurrentRepetition());
        List<Folder> folders = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            Optional<ItemId> parent = i == 0 || random.nextInt(4) == 0
                    ? Optional.empty()
                    : Optional.of(folders.get(random.nextInt(i)).id());
            folders.add(new Folder(id("f" + i), "f" + random.nextInt(9), parent, ""));
        }
        FolderTree tree = new FolderTree(folders);
        assertThat(tree.rows()).extracting(FolderTree.Row::folder).containsExactlyInAnyOrderElementsOf(folders);
        assertThat(tree.rows()).allSatisfy(row -> {
            assertThat(tree.path(row.folder().id())).hasSize(row.depth() + 1);
            assertThat(tree.below(row.folder().id())).contains(row.folder().id());
        });
        int tops = tree.rows().stream()
                .filter(row -> row.depth() == 0)
                .mapToInt(row -> tree.below(row.folder().id()).size())
                .sum();
        assertThat(tops).as("what lies below the tops is all").isEqualTo(40);
    }

    private static ProjectFile file(String name, int size, int minute, String folder) {
        return new ProjectFile(
                id(name),
                name,
                folder.isEmpty() ? null : id(folder),
                folder.isEmpty() ? null : folder,
                Sha256.ofText(name),
                name.endsWith("png") ? "image/png" : "application/pdf",
                size,
                Actor.kept("Teo"),
                NOW.plusSeconds(60L * minute));
    }

    @ParameterizedTest
    @CsvSource({
        "'', '', NAME, a map.pdf|b.png|Dome map.png",
        "'', '', NEWEST, b.png|Dome map.png|a map.pdf",
        "'', '', LARGEST, Dome map.png|a map.pdf|b.png",
        "'', '', KIND, a map.pdf|Dome map.png|b.png",
        "'', MAP, NAME, a map.pdf|Dome map.png",
        "'', map dome, NAME, Dome map.png",
        "Artwork, '', NAME, b.png|Dome map.png",
        "Artwork, map pdf, NAME, ''",
    })
    void whatIsLookedAt(String in, String find, FileSift.Order order, String found) {
        List<ProjectFile> all = List.of(
                file("b.png", 1, 9, "Artwork"), file("a map.pdf", 5, 1, ""), file("Dome map.png", 9, 5, "Artwork"));
        FileSift sift = new FileSift(in.isEmpty() ? Optional.empty() : Optional.of(id(in)), find, order);
        assertThat(sift.of(all).stream().map(ProjectFile::name).collect(Collectors.joining("|")))
                .isEqualTo(found);
    }

    @ParameterizedTest
    @CsvSource({"0, 1, 1, 3, 0", "7, 1, 1, 3, 3", "7, 3, 3, 3, 1", "7, 99, 3, 3, 1", "7, -4, 1, 3, 3", "6, 2, 2, 2, 3"})
    void pagesAreWhole(int files, int asked, int number, int of, int there) {
        List<ProjectFile> all =
                IntStream.range(0, files).mapToObj(i -> file("f" + i, 1, i, "")).toList();
        FileSift.Page page = new FileSift(Optional.empty(), "", FileSift.Order.NAME).page(all, asked, 3);
        assertThat(page.number()).isEqualTo(number);
        assertThat(page.files()).hasSize(there);
        assertThat(page.found()).isEqualTo(files);
        assertThat(page.of()).isEqualTo(files == 0 ? 1 : of);
    }
}
