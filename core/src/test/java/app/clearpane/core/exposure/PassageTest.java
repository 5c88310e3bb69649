package app.clearpane.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What passes of a kind under a ceiling: the whole table. */
class PassageTest {
    private static final Set<Filter> OWN = Set.of(new Filter.Folder("Artwork"));
    private static final Set<Filter> ABOVE = Set.of(new Filter.Folder("For the client"));

    private static Passage passage(Aperture set, Aperture ceiling) {
        return Passage.of(
                ContentKind.FILES,
                new PaneSettings(Map.of(ContentKind.FILES, set), Map.of(ContentKind.FILES, OWN), Map.of(), Map.of()),
                new Ceilings(Map.of(ContentKind.FILES, ceiling), Map.of(ContentKind.FILES, ABOVE)));
    }

    @ParameterizedTest(name = "{0} under {1}: {2}, by {3}")
    @CsvSource({
        "CLOSED, CLOSED, CLOSED, none",
        "CLOSED, PICKED, CLOSED, none",
        "CLOSED, FILTERED, CLOSED, none",
        "CLOSED, OPEN, CLOSED, none",
        "PICKED, CLOSED, CLOSED, none",
        "PICKED, PICKED, PICKED, none",
        "PICKED, FILTERED, PICKED, none",
        "PICKED, OPEN, PICKED, none",
        "FILTERED, CLOSED, CLOSED, none",
        "FILTERED, PICKED, PICKED, none",
        "FILTERED, FILTERED, FILTERED, both",
        "FILTERED, OPEN, FILTERED, own",
        "OPEN, CLOSED, CLOSED, none",
        "OPEN, PICKED, PICKED, none",
        "OPEN, FILTERED, FILTERED, above",
        "OPEN, OPEN, OPEN, none"
    })
    void theLesserCountsWithTheFiltersOfEachThatIsFiltered(Aperture set, Aperture ceiling, Aperture passes, String by) {
        Passage passage = passage(set, ceiling);
        assertThat(passage.aperture()).isEqualTo(passes);
        assertThat(passage.sieves())
                .isEqualTo(
                        switch (by) {
                            case "own" -> java.util.List.of(OWN);
                            case "above" -> java.util.List.of(ABOVE);
                            case "both" -> java.util.List.of(OWN, ABOVE);
                            default -> java.util.List.of();
                        });
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "STATUS, 'CLOSED, OPEN'",
        "DATES, 'CLOSED, PICKED, FILTERED, OPEN'",
        "TASKS, 'CLOSED, PICKED, FILTERED, OPEN'",
        "FILES, 'CLOSED, PICKED, FILTERED, OPEN'",
        "DELIVERABLES, 'CLOSED, PICKED, OPEN'",
        "CONCERNS, 'CLOSED, PICKED, OPEN'"
    })
    void eachKindHasItsApertures(ContentKind kind, String apertures) {
        assertThat(kind.apertures()).hasToString("[" + apertures + "]");
    }

    @Test
    void whatIsNotSetIsClosedAndWithoutACeiling() {
        assertThat(Passage.of(ContentKind.DATES, PaneSettings.NOTHING, Ceilings.NONE))
                .isEqualTo(Passage.NOTHING);
        assertThat(StartingPoint.CLOSED
                        .followedBy(new PaneSettings(Map.of(ContentKind.DATES, Aperture.OPEN), Map.of(), Map.of()))
                        .aperture(ContentKind.DATES))
                .isEqualTo(Aperture.CLOSED);
    }
}
