package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class PartLineTest {
    private static final PrintSize A2 = PrintSize.read("A2").orElseThrow();
    private static final List<Check> UNSAID = List.of(new Check.Unlocked(), new Check.WithoutMacros());

    private static PartLine read(String line) {
        return PartLine.read(line).orElseThrow();
    }

    @Test
    void aLineSaysHowManyWhatAndWhatIsAskedOfEach() {
        PartLine dome = read("3 photographs of the dome, A2 at 200 dpi; landscape, no people, not from a phone");
        assertThat(dome.name()).isEqualTo("Photographs of the dome");
        assertThat(dome.wanted()).isEqualTo(3);
        assertThat(dome.takes()).isEqualTo(Takes.FILES);
        assertThat(dome.checks())
                .containsExactly(
                        new Check.OfKind(Set.of(FileKind.PHOTOGRAPH)),
                        new Check.Sharp(200, A2),
                        UNSAID.get(0),
                        UNSAID.get(1));
        assertThat(dome.good()).isEqualTo("Landscape, no people");
        assertThat(dome.bad()).isEqualTo("Not from a phone");
    }

    static Stream<Check> checks() {
        return Stream.of(
                new Check.OfKind(Set.of(FileKind.PHOTOGRAPH)),
                new Check.OfKind(Set.of(FileKind.PDF, FileKind.TEXT, FileKind.SLIDES)),
                new Check.OfKind(Set.of(FileKind.DRAWING, FileKind.ARCHIVE)),
                new Check.OfKind(Set.of(FileKind.OTHER)),
                new Check.AtLeast(new Pixels(1_800, 1_200)),
                new Check.AtLeast(new Pixels(80, 60)),
                new Check.Sharp(200, A2),
                new Check.Sharp(300, PrintSize.read("29.7 x 21 cm").orElseThrow()),
                new Check.InColours(Set.of(ColourSpace.GREY)),
                new Check.InColours(Set.of(ColourSpace.RGB, ColourSpace.CMYK)),
                new Check.PagesBetween(2, 2),
                new Check.PagesBetween(0, 1),
                new Check.PagesBetween(1, 2_000),
                new Check.Trimmed(A2, 0),
                new Check.Trimmed(PrintSize.read("61.5 x 30 mm").orElseThrow(), 2.5),
                new Check.FontsWithin(),
                new Check.WordsBetween(0, 40),
                new Check.WordsBetween(80, 1_200),
                new Check.PlaysFor(Duration.ofSeconds(7), Duration.ofSeconds(3_729)),
                new Check.Unlocked(),
                new Check.WithoutMacros());
    }

    @ParameterizedTest
    @MethodSource("checks")
    void whatACheckSaysOfItselfIsReadAsThatCheck(Check check) {
        assertThat(PartLine.check(check.words())).as(check.words()).contains(check);
        assertThat(read("2 documents, " + check.words() + ", quiet").checks()).contains(check);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Opening hours, at most 120 words | Opening hours | TEXT | 1",
                "Donors' names, a table | Donors' names | FILES | 1",
                "a logo of the lottery fund, a vector drawing | Logo of the lottery fund | FILES | 1",
                "Access to the old site, sealed | Access to the old site | ACCESS | 1",
                "Where the boxes go, an address | Where the boxes go | ADDRESS | 1",
                "Opening, a day | Opening | DAY | 1",
                "The film, a link | The film | LINK | 1",
                "Handrail, one of oak / ash / walnut | Handrail | CHOICE | 1",
                "two recordings | Recordings | FILES | 2",
                "9999 photos | Photos | FILES | 1000",
                "A text, 10 words, a PDF | Text | FILES | 1"
            })
    void inWhatFormItIsGiven(String line, String name, Takes takes, int wanted) {
        PartLine read = read(line);
        assertThat(List.of(read.name(), read.takes(), read.wanted())).containsExactly(name, takes, wanted);
    }

    @Test
    void oneOfSeveralNamesThem() {
        assertThat(read("Handrail, one of oak / ash /  / walnut").choices()).containsExactly("oak", "ash", "walnut");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", ",", " ; , "})
    void nothingIsNoLine(String line) {
        assertThat(PartLine.read(line)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0 × 0 px",
                "A9",
                "RGB or lilac",
                "a photograph or a song",
                "99999999999 words",
                "5 m × 900 m",
                "one of these",
                "dpi at A2",
                "0:07"
            })
    void whatIsNoCheckIsKeptAsWords(String phrase) {
        assertThat(read("Thing, " + phrase).checks()).isEqualTo(UNSAID);
        assertThat(read("Thing, " + phrase).good()).isNotEmpty();
    }

    @Test
    void whatIsTypedOrSealedIsHeldAgainstNoCheckOfFiles() {
        assertThat(read("Password, access details, no macros, A4").checks()).isEmpty();
        assertThat(read("Hours, 12 words, no password").checks()).containsExactly(new Check.WordsBetween(12, 12));
    }

    @Test
    void aPartSaysWhatIsAskedAndLeavesOutWhatGoesWithoutSaying() {
        PartLine line = read("3 photographs, 200 dpi at A2");
        assertThat(new RequestPart(
                                new java.util.UUID(1, 1),
                                line.name(),
                                line.takes(),
                                line.wanted(),
                                line.checks(),
                                line.choices(),
                                "",
                                "")
                        .asked())
                .containsExactly("a photograph", "at least 200 dpi at A2");
    }
}
