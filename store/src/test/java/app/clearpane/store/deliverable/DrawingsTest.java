package app.clearpane.store.deliverable;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.post.GivenUp;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class DrawingsTest {
    private static final Actor INES = Actor.kept("Ines");
    private static final Sha256 RYE = new Sha256("a".repeat(64));
    private static final Sha256 SPELT = new Sha256("b".repeat(64));
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Drawings drawings = new Drawings(house.db);
    private final Items items = new Items(house.db, AHouse::today);
    private ItemId file;

    @BeforeEach
    void aFileThatWasReplacedBeforeItWasDrawn() {
        ProjectFiles files = new ProjectFiles(house.db);
        file = items.add(house.project, ContentKind.FILES, "recipe.txt", Optional.empty(), AHouse.NOW);
        files.addFile(file, new Vault.Stored(RYE, 3), "text/plain", INES);
        drawings.begin(RYE, "text/plain", 1);
        files.replace(files.find(file).orElseThrow(), new Vault.Stored(SPELT, 5), "text/plain", INES, AHouse.NOW);
        drawings.begin(SPELT, "text/plain", 1);
    }

    @Test
    void whatStoodThereBeforeIsDrawnToo() {
        assertThat(drawings.wanted(RYE)).isTrue();
        assertThat(drawings.waiting(house.project)).containsExactly(RYE, SPELT);
        assertThat(drawings.left("draw")).containsExactly(RYE, SPELT);
        drawings.done(RYE);
        assertThat(drawings.left("draw")).containsExactly(SPELT);
    }

    @Test
    void nothingIsDrawnForWhatIsDeleted() {
        items.delete(file, INES, AHouse.NOW);
        assertThat(drawings.wanted(RYE)).isFalse();
        assertThat(drawings.waiting(house.project)).isEmpty();
        assertThat(drawings.left("draw")).isEmpty();
    }

    @Test
    void whatWasGivenUpIsNotTriedForEver() {
        GivenUp givenUp = new GivenUp(house.db);
        givenUp.add("draw", SPELT.hex(), "no room", AHouse.NOW);
        givenUp.add("compare", RYE.hex(), "no room", AHouse.NOW);
        assertThat(drawings.left("draw")).containsExactly(RYE);
    }
}
