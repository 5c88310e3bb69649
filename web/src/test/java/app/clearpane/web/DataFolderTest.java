package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {
    @TempDir
    private Path folder;

    private DataFolder data() {
        return DataFolder.of(Map.of("CLEARPANE_DATA", folder.resolve("data").toString()));
    }

    @Test
    void aDemoNeverOpensAsARealHouse() {
        assertThat(data().begin(true)).isEmpty();
        assertThat(data().begin(true)).as("started again").isEmpty();
        assertThat(data().begin(false)).get().asString().contains("holds a demo");
    }

    @Test
    void whatAnEarlierStartLeftIsRemoved() throws Exception {
        Path temporary = data().clearTemporary();
        Files.writeString(temporary.resolve("half-a-bundle.zip"), "left");
        assertThat(data().clearTemporary()).isEqualTo(temporary).isEmptyDirectory();
        assertThat(temporary).hasParent(folder.resolve("data").toAbsolutePath());
    }

    @Test
    void aDemoTakesNoFolderThatIsNotADemos() throws Exception {
        assertThat(data().begin(false)).as("a new house").isEmpty();
        Files.createDirectories(folder.resolve("data"));
        Files.writeString(folder.resolve("data/house.mv.db"), "somebody's");
        assertThat(data().begin(true)).get().asString().contains("not a demo's");
        assertThat(folder.resolve("data/this-is-a-demo")).doesNotExist();
        assertThat(data().begin(false)).isEmpty();
    }
}
