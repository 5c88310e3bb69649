package app.clearpane.store.clearance;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.deliverable.Deliverables;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A tick counts for the version it was made for, and for the words it was made on. */
class ChecklistsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Checklists checklists = new Checklists(house.db);
    private final ItemId map = house.deliverable("Visitor map", house.pane("The board"));
    private final VersionId first = version(1);
    private final VersionId second = version(2);

    private VersionId version(int number) {
        Version version = new Version(
                new VersionId(UUID.randomUUID()),
                map,
                null,
                Sha256.ofText("map " + number),
                "map.pdf",
                "application/pdf",
                9,
                "",
                Actor.kept("Teo"),
                AHouse.NOW.plusSeconds(number),
                null);
        new Deliverables(house.db).addVersion(version);
        return version.id();
    }

    private List<Checklists.Line> lines(VersionId version) {
        return checklists.linesOf(List.of(map), List.of(version));
    }

    private UUID line(String words) {
        return lines(first).stream()
                .filter(line -> line.words().equals(words))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aTickIsForOneVersionAndMadeOnce() {
        checklists.set(map, List.of("Fonts", "Bleed"));
        assertThat(checklists.tick(line("Fonts"), first, Actor.kept("Teo"), AHouse.NOW))
                .isTrue();
        assertThat(checklists.tick(line("Fonts"), first, Actor.kept("Ines"), AHouse.NOW.plusSeconds(1)))
                .as("it is ticked")
                .isFalse();
        assertThat(lines(first))
                .extracting(Checklists.Line::words, Checklists.Line::by)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Fonts", Actor.kept("Teo")),
                        org.assertj.core.groups.Tuple.tuple("Bleed", null));
        assertThat(lines(second)).noneMatch(Checklists.Line::ticked);
        assertThat(checklists.untick(line("Fonts"), second)).isFalse();
        assertThat(checklists.untick(line("Fonts"), first)).isTrue();
        assertThat(checklists.untick(line("Fonts"), first)).isFalse();
        assertThat(lines(first)).noneMatch(Checklists.Line::ticked);
    }

    @Test
    void linesThatStayKeepTheirTicksInTheirNewOrder() {
        checklists.set(map, List.of("Fonts", "Bleed", "Overprint"));
        checklists.tick(line("Bleed"), first, Actor.kept("Teo"), AHouse.NOW);
        checklists.tick(line("Overprint"), first, Actor.kept("Teo"), AHouse.NOW);
        checklists.set(map, List.of("Spelling", "Bleed", "Fonts"));
        assertThat(lines(first)).extracting(Checklists.Line::words).containsExactly("Spelling", "Bleed", "Fonts");
        assertThat(lines(first)).extracting(Checklists.Line::ticked).containsExactly(false, true, false);
        checklists.set(map, List.of("Overprint"));
        assertThat(lines(first))
                .as("a line that comes again was not looked at again")
                .extracting(Checklists.Line::ticked)
                .containsExactly(false);
        checklists.set(map, List.of());
        assertThat(lines(first)).isEmpty();
    }

    @Test
    void aConditionIsWaivedOnceForOneVersion() {
        Checklists.Waiver waiver = new Checklists.Waiver(
                first, Condition.values()[0], "The printer waits", Actor.kept("Bastian"), AHouse.NOW);
        assertThat(checklists.waive(waiver)).isTrue();
        assertThat(checklists.waive(new Checklists.Waiver(
                        first, Condition.values()[0], "Another reason", Actor.kept("Ines"), AHouse.NOW)))
                .isFalse();
        assertThat(checklists.waivers(List.of(first, second))).containsExactly(waiver);
        assertThat(checklists.waivers(List.of(second))).isEmpty();
    }
}
