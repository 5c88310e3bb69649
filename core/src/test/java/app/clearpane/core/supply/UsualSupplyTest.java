package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a kind of work needs of the client, as it is typed. */
class UsualSupplyTest {
    private static final List<String> PHASES = List.of("Brief", "Concept");

    private static UsualSupply read(String folders, String requests) {
        return UsualSupply.read(folders, requests, PHASES);
    }

    @Test
    void foldersLieInEachOtherAndSayWhatBelongsInThem() {
        assertThat(read("Artwork / Logos: your logo, in all its forms\n\nWords", "")
                        .folders())
                .containsExactly(
                        new UsualSupply.UsualFolder(List.of("Artwork", "Logos"), "your logo, in all its forms"),
                        new UsualSupply.UsualFolder(List.of("Words"), ""));
    }

    @Test
    void requestsSayWhenTheyGoOut() {
        String typed = """
                What we need, to begin, at the start, within 5 days, by itself
                - Your logo, SVG or PDF
                - Opening hours
                Words for the panels, with concept
                - Texts
                Map data, 10 working days before Concept
                - A map""";
        assertThat(read("", typed).requests())
                .containsExactly(
                        new UsualSupply.UsualRequest(
                                "What we need, to begin",
                                Optional.empty(),
                                0,
                                5,
                                true,
                                List.of("Your logo, SVG or PDF", "Opening hours")),
                        new UsualSupply.UsualRequest(
                                "Words for the panels", Optional.of("Concept"), 0, 3, false, List.of("Texts")),
                        new UsualSupply.UsualRequest(
                                "Map data", Optional.of("Concept"), 10, 3, false, List.of("A map")));
    }

    @Test
    void whatIsReadIsWhatIsTypedAgain() {
        UsualSupply read =
                read("A / B: c\nD", "One, 4 days before Brief, within 9 days, by itself\n- x\n- y, z\nTwo\n- q");
        assertThat(read(read.typedFolders(), read.typedRequests())).isEqualTo(read);
        assertThat(read("", "")).isEqualTo(UsualSupply.NONE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "- a thing|stands below a request",
                "Title, with Building|there is no phase “Building”; there is Brief, Concept",
                "Title, 0 days before Brief|from 1 to 250 days",
                "Title, within 999 days|from 1 to 250 days",
                "Title, with Brief|says nothing that is wanted"
            })
    void whatIsWrongIsSaidWithItsLine(String typed, String said) {
        assertThatThrownBy(() -> read("", typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(said);
    }

    @Test
    void aFolderNeedsAName() {
        assertThatThrownBy(() -> read(" / : words", "")).hasMessageContaining("no name");
        assertThatThrownBy(() -> read("a/".repeat(13), "")).hasMessageContaining("deeper than 12");
    }
}
