package app.clearpane.store.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Seal;
import app.clearpane.store.files.Vault;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A house is copied while it runs, and comes back whole. */
class HouseBackupTest {
    @TempDir
    private Path folder;

    private static void add(AHouse house, Vault vault, String text) throws IOException {
        ItemId item = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, text, Optional.empty(), AHouse.NOW);
        new ProjectFiles(house.db)
                .addFile(
                        item,
                        vault.store(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), 1_000),
                        "text/plain",
                        Actor.kept("Teo"));
    }

    @Test
    void comesBackAsItWasAndWithAllItNames() throws Exception {
        AHouse house = new AHouse(FreshDatabase.inFile(folder.resolve("live/house")));
        Vault vault = Vault.in(folder.resolve("live/vault"));
        add(house, vault, "first");
        String sealed = Seal.in(folder.resolve("live")).close("ABCDEFGH", "second step");
        vault.store(new ByteArrayInputStream(new byte[] {1}), 10);
        HouseBackup.Made made = HouseBackup.make(house.db, vault, folder.resolve("live"), folder.resolve("backup"));
        assertThat(made.files()).as("only what is named").isEqualTo(1);
        add(house, vault, "afterwards");
        HouseBackup.restore(folder.resolve("backup"), folder.resolve("again"));
        try (StoppedHouse again = StoppedHouse.open(folder.resolve("again"), ";ACCESS_MODE_DATA=r")) {
            assertThat(new ProjectFiles(again.db()).named()).containsExactly(Sha256.ofText("first"));
        }
        assertThat(Seal.in(folder.resolve("again")).open(sealed, "second step"))
                .as("with the key that sealed it")
                .contains("ABCDEFGH");
        assertThat(Vault.in(folder.resolve("again/vault")).isIntact(Sha256.ofText("first")))
                .isTrue();
        assertThatThrownBy(() -> HouseBackup.make(house.db, vault, folder.resolve("live"), folder.resolve("backup")))
                .isInstanceOf(FileAlreadyExistsException.class);
        assertThatThrownBy(() -> HouseBackup.restore(folder.resolve("backup"), folder.resolve("again")))
                .isInstanceOf(FileAlreadyExistsException.class);
        assertThatThrownBy(() -> HouseBackup.restore(folder.resolve("live"), folder.resolve("nowhere")))
                .hasMessageContaining("is no backup");
    }

    @Test
    void aFileThatWasAlteredIsFoundAndNoBackupIsLeft() throws Exception {
        AHouse house = new AHouse(FreshDatabase.inFile(folder.resolve("live/house")));
        Vault vault = Vault.in(folder.resolve("live/vault"));
        add(house, vault, "whole");
        Files.writeString(vault.path(Sha256.ofText("whole")), "altered");
        assertThatThrownBy(() -> HouseBackup.make(house.db, vault, folder.resolve("live"), folder.resolve("backup")))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("altered");
        assertThat(folder.resolve("backup")).doesNotExist();
        assertThat(folder.resolve("backup.unfinished")).doesNotExist();
    }
}
