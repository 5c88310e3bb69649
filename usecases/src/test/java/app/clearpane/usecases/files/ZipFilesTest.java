package app.clearpane.usecases.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.shell.Refused;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files leave as one ZIP, each under a path of its own that stays inside. */
class ZipFilesTest {
    private static final ProjectId PROJECT = new ProjectId(new UUID(1, 1));
    private static final ItemId ARTWORK = new ItemId(new UUID(2, 1));
    private static final ItemId MAPS = new ItemId(new UUID(2, 2));
    private final ProjectFiles files = mock();
    private final Vault vault = mock();
    private final ZipFiles zipFiles = new ZipFiles(files, vault);

    private static ProjectFile file(int number, String name, ItemId folder) {
        return new ProjectFile(
                new ItemId(new UUID(3, number)),
                name,
                folder,
                folder == null ? null : "in",
                Sha256.ofText("content " + number),
                "text/plain",
                9,
                Actor.kept("Teo"),
                Instant.parse("2027-03-24T09:30:00Z"));
    }

    @BeforeEach
    void aRoom() throws Exception {
        when(files.ofProject(PROJECT))
                .thenReturn(List.of(
                        file(1, "plan.txt", MAPS),
                        file(2, "PLAN.txt", MAPS),
                        file(3, "../../etc/passwd", ARTWORK),
                        file(4, "plan.txt", null)));
        when(files.folders(PROJECT))
                .thenReturn(List.of(
                        new Folder(ARTWORK, "Artwork/..", Optional.empty(), ""),
                        new Folder(MAPS, "Maps", Optional.of(ARTWORK), "")));
        when(vault.open(any()))
                .thenAnswer(asked -> new ByteArrayInputStream(
                        ((Sha256) asked.getArgument(0)).hex().substring(0, 8).getBytes(StandardCharsets.UTF_8)));
    }

    private Map<String, String> unzipped(int... numbers) throws Exception {
        Set<ItemId> some = new HashSet<>();
        for (int number : numbers) {
            some.add(new ItemId(new UUID(3, number)));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        zipFiles.written(PROJECT, some).write(out);
        Map<String, String> found = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(out.toByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                found.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return found;
    }

    @Test
    void eachHasAPathOfItsOwnInside() throws Exception {
        Map<String, String> found = unzipped(1, 2, 3, 4);
        assertThat(found.keySet())
                .containsExactlyInAnyOrder("file/Maps/plan.txt", "file/Maps/PLAN (2).txt", "file/passwd", "plan.txt");
        assertThat(found)
                .containsEntry("plan.txt", Sha256.ofText("content 4").hex().substring(0, 8));
    }

    @Test
    void whatIsNotThereIsSaid() {
        assertThatThrownBy(() -> unzipped()).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> unzipped(1, 99))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.isChangedMeanwhile())
                        .isTrue());
    }

    @ParameterizedTest
    @CsvSource({"a/b.txt, a/b (2).txt", "a.b/c, a.b/c (2)", ".htaccess, .htaccess (2)", "a, a (2)"})
    void theSecondOfANameIsNumbered(String path, String second) {
        Set<String> taken = new HashSet<>();
        assertThat(ZipFiles.unique(path, taken)).isEqualTo(path);
        assertThat(ZipFiles.unique(path, taken)).isEqualTo(second);
        assertThat(ZipFiles.unique(path, taken)).isEqualTo(second.replace("(2)", "(3)"));
    }
}
