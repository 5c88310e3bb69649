package app.clearpane.store.desk;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.exposure.Items;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Finding by a part of a name. */
class FinderTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Finder finder = new Finder(house.db);

    private ItemId file(String name) {
        return new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.FILES, name, Optional.empty(), AHouse.NOW);
    }

    @Test
    void findsProjectsByNameAndByClientWhateverTheCase() {
        assertThat(finder.projects("VISITOR", Set.of(), 10)).singleElement().satisfies(found -> assertThat(found.name())
                .isEqualTo("Visitor centre"));
        assertThat(finder.projects("penweth", Set.of(), 10)).hasSize(1);
        assertThat(finder.projects("penweth", Set.of(house.project), 10))
                .as("what is not there for whoever looks")
                .isEmpty();
        assertThat(finder.projects("ferries", Set.of(), 10)).isEmpty();
    }

    @Test
    void signsThatMeanSomethingToSqlAreLookedForAsTheyAre() {
        ItemId percent = file("50% off.pdf");
        file("50 off.pdf");
        assertThat(finder.items("0%", Set.of(), 10))
                .extracting(Finder.FoundItem::id)
                .containsExactly(percent);
        assertThat(finder.items("_", Set.of(), 10)).isEmpty();
        assertThat(finder.items("'; drop table item; --", Set.of(), 10)).isEmpty();
    }

    @Test
    void leavesOutWhatIsDeletedAndStopsAtTheLimit() {
        ItemId gone = file("Map 0.pdf");
        new Items(house.db, AHouse::today).delete(gone, AHouse.NOW);
        for (int i = 1; i <= 5; i++) {
            file("Map " + i + ".pdf");
        }
        assertThat(finder.items("map", Set.of(), 3))
                .extracting(Finder.FoundItem::name)
                .containsExactly("Map 1.pdf", "Map 2.pdf", "Map 3.pdf");
        assertThat(finder.items("map", Set.of(), 10)).hasSize(5);
    }

    @Test
    void findsContactsByNameAndAddress() {
        house.contact("jasper");
        assertThat(finder.contacts("JASP", 10)).singleElement().satisfies(found -> assertThat(found.email())
                .isEqualTo("jasper@penwether.example"));
        assertThat(finder.contacts("@penwether", 10)).hasSize(1);
    }
}
