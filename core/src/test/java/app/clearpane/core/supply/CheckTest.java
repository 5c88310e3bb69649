package app.clearpane.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.supply.Finding.Grade;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class CheckTest {
    private static final PrintSize A2 = PrintSize.read("a2").orElseThrow();

    private static FileFacts photograph(int width, int height) {
        return FileFacts.ofPicture(
                "image/jpeg",
                1,
                new FileFacts.Picture(
                        new Pixels(width, height), Optional.of(ColourSpace.RGB), Optional.of("sRGB IEC61966-2.1")));
    }

    private static FileFacts pdf(int pages, String size, double bleed, String... fontsLeftOut) {
        return FileFacts.ofDocument(
                "application/pdf",
                1,
                new FileFacts.Document(
                        OptionalInt.of(pages),
                        PrintSize.read(size),
                        Optional.of(bleed),
                        List.of(fontsLeftOut),
                        OptionalInt.empty()));
    }

    private static FileFacts words(int count) {
        return FileFacts.ofDocument("text/plain", 1, FileFacts.Document.ofWords(count));
    }

    private static FileFacts film(int seconds) {
        return new FileFacts(
                "video/mp4",
                1,
                Optional.empty(),
                Optional.empty(),
                Optional.of(Duration.ofSeconds(seconds)),
                false,
                false);
    }

    @ParameterizedTest
    @CsvSource({
        "297 x 210 mm, 1800, 1200, 145",
        "297 x 210 mm, 1200, 1800, 145",
        "A2, 1600, 1200, 68",
        "A2, 5184, 3456, 209",
        "A2, 4678, 3308, 200",
        "A2, 4677, 3308, 199",
        "100 x 100, 1, 1, 0"
    })
    void resolutionIsThatOfThePictureTurnedToThePaperAndOfTheSmallerSide(
            String size, int width, int height, int resolution) {
        assertThat(PrintSize.read(size).orElseThrow().resolution(new Pixels(width, height)))
                .isEqualTo(resolution);
    }

    @Test
    void aSmallPhotographSaysItsFiguresAndWhatItNeeds() {
        assertThat(new Check.Sharp(200, A2).of(photograph(1600, 1200)))
                .isEqualTo(Finding.fails(
                        "1,600 × 1,200 px: 68 dpi at A2",
                        "It needs 4,678 px on the long side. The original on the camera is likely larger: mails "
                                + "shrink pictures."));
        assertThat(new Check.Sharp(200, A2).of(photograph(6000, 1200)).remedy())
                .as("a strip lacks on its short side")
                .startsWith("It needs 3,308 px on the short side.");
        assertThat(new Check.Sharp(200, A2).of(photograph(3456, 5184)))
                .isEqualTo(Finding.passes("3,456 × 5,184 px: 209 dpi at A2"));
    }

    @ParameterizedTest
    @CsvSource({
        "A4, A4, 297, 210",
        " a3 , A3, 420, 297",
        "60 × 40 cm, 600 × 400 mm, 600, 400",
        "210x297, 210 × 297 mm, 297, 210",
        "'1,5 x 2 m', 1500 × 2000 mm, 2000, 1500"
    })
    void sizesOnPaperAreReadAsTheyAreTyped(String typed, String name, double longSide, double shortSide) {
        assertThat(PrintSize.read(typed)).contains(new PrintSize(name, longSide, shortSide));
    }

    @ParameterizedTest
    @CsvSource({"A7", "''", "0 x 10", "30 x 10 m", "ten by ten", "-3 x 4", "1e9 x 2"})
    void otherSizesAreNone(String typed) {
        assertThat(PrintSize.read(typed)).isEmpty();
    }

    static Stream<Arguments> answers() {
        Check photographs = new Check.OfKind(Set.of(FileKind.PHOTOGRAPH));
        Check drawings = new Check.OfKind(Set.of(FileKind.DRAWING, FileKind.PDF));
        Check print = new Check.InColours(Set.of(ColourSpace.CMYK));
        Check panels = new Check.Trimmed(A2, 3);
        Check short0 = new Check.PlaysFor(Duration.ofSeconds(10), Duration.ofSeconds(30));
        return Stream.of(
                Arguments.of(
                        photographs, photograph(1, 1), Grade.PASSES, "It is a picture made of pixels (image/jpeg)", ""),
                Arguments.of(photographs, words(4), Grade.FAILS, "It is a text (text/plain)", "a photograph."),
                Arguments.of(
                        drawings,
                        photograph(9, 9),
                        Grade.FAILS,
                        "a picture made of pixels",
                        "a vector drawing or a PDF."),
                Arguments.of(print, photograph(9, 9), Grade.WARNS, "RGB (sRGB IEC61966-2.1)", "CMYK; we can convert"),
                Arguments.of(print, words(4), Grade.WARNS, "could not be found", "We look at it ourselves."),
                Arguments.of(new Check.AtLeast(new Pixels(800, 600)), photograph(600, 800), Grade.PASSES, "600", ""),
                Arguments.of(new Check.AtLeast(new Pixels(800, 600)), photograph(799, 900), Grade.PASSES, "799", ""),
                Arguments.of(new Check.AtLeast(new Pixels(800, 600)), photograph(900, 599), Grade.FAILS, "900", "600"),
                Arguments.of(new Check.PagesBetween(2, 2), pdf(2, "A4", 0), Grade.PASSES, "2 pages", ""),
                Arguments.of(new Check.PagesBetween(0, 1), pdf(2, "A4", 0), Grade.FAILS, "2 pages", "at most 1 page."),
                Arguments.of(panels, pdf(1, "594.4 x 419.6", 3), Grade.PASSES, "with 3 mm around them", ""),
                Arguments.of(panels, pdf(1, "A2", 2), Grade.FAILS, "with 2 mm", "3 mm of bleed"),
                Arguments.of(panels, pdf(1, "A3", 3), Grade.FAILS, "Its pages are A3", "A2 with 3 mm around it."),
                Arguments.of(new Check.FontsWithin(), pdf(1, "A4", 0), Grade.PASSES, "Every font", ""),
                Arguments.of(
                        new Check.FontsWithin(), pdf(1, "A4", 0, "Lantern"), Grade.FAILS, "carry Lantern", "outlines"),
                Arguments.of(new Check.WordsBetween(20, 40), words(20), Grade.PASSES, "20 words", ""),
                Arguments.of(new Check.WordsBetween(20, 40), words(41), Grade.FAILS, "41 words", "20 to 40 words."),
                Arguments.of(new Check.WordsBetween(1, 40), photograph(9, 9), Grade.WARNS, "How many words", "look"),
                Arguments.of(short0, film(30), Grade.PASSES, "It is 0:30 long", ""),
                Arguments.of(short0, film(9), Grade.FAILS, "0:09", "at least 0:10."),
                Arguments.of(short0, film(3_723), Grade.FAILS, "1:02:03", "at most 0:30."),
                Arguments.of(new Check.Unlocked(), words(1).with(true, false), Grade.FAILS, "password", "without"),
                Arguments.of(new Check.Unlocked(), words(1), Grade.PASSES, "No password", ""),
                Arguments.of(new Check.WithoutMacros(), words(1).with(false, true), Grade.FAILS, "macros", ".docx"),
                Arguments.of(new Check.WithoutMacros(), words(1), Grade.PASSES, "no macros", ""));
    }

    @ParameterizedTest
    @MethodSource("answers")
    void everyCheckSaysWhatItFoundAndHowToPutItRight(
            Check check, FileFacts file, Grade grade, String figures, String remedy) {
        Finding finding = check.of(file);
        assertThat(finding.grade()).isEqualTo(grade);
        assertThat(finding.figures()).contains(figures);
        assertThat(finding.remedy()).contains(remedy);
        assertThat(finding.remedy().isEmpty()).isEqualTo(grade == Grade.PASSES);
        assertThat(check.words()).isNotBlank();
    }

    @Test
    void whatFailsComesFirstAndWhatGoesWithoutSayingIsNotSaid() {
        assertThat(Check.all(
                        List.of(
                                new Check.OfKind(Set.of(FileKind.PHOTOGRAPH)),
                                new Check.Unlocked(),
                                new Check.AtLeast(new Pixels(800, 600)),
                                new Check.InColours(Set.of(ColourSpace.GREY)),
                                new Check.Sharp(200, A2)),
                        photograph(1600, 1200)))
                .extracting(Finding::grade)
                .containsExactly(Grade.FAILS, Grade.WARNS, Grade.PASSES);
    }

    @ParameterizedTest
    @CsvSource({
        "image/png, PHOTOGRAPH",
        "image/svg+xml, DRAWING",
        "application/postscript, DRAWING",
        "application/pdf, PDF",
        "text/plain, TEXT",
        "text/csv, TABLE",
        "application/vnd.openxmlformats-officedocument.wordprocessingml.document, TEXT",
        "application/vnd.ms-word.document.macroenabled.12, TEXT",
        "application/msword, TEXT",
        "application/vnd.oasis.opendocument.text, TEXT",
        "application/vnd.oasis.opendocument.spreadsheet, TABLE",
        "application/vnd.ms-excel.sheet.macroenabled.12, TABLE",
        "application/vnd.openxmlformats-officedocument.presentationml.presentation, SLIDES",
        "video/quicktime, FILM",
        "audio/mpeg, SOUND",
        "application/zip, ARCHIVE",
        "application/octet-stream, OTHER",
        "rubbish, OTHER"
    })
    void aKindIsToldByTheContent(String mediaType, FileKind kind) {
        assertThat(FileKind.of(mediaType)).isEqualTo(kind);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Pixels(0, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new PrintSize("x", 100, 200)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Check.OfKind(Set.of())).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() ->
                        new RequestPart(java.util.UUID.randomUUID(), "x", Takes.FILES, 0, List.of(), List.of(), "", ""))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
