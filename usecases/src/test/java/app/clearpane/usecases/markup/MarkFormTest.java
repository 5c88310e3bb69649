package app.clearpane.usecases.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import app.clearpane.usecases.shell.Refused;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A mark as it comes from a page becomes a place on the work, or a sentence that says why not. */
class MarkFormTest {
    private static final String TEXT = "The old dome.\nThe hall. The hall.\n";

    private static MarkForm words(
            @Nullable Integer start, @Nullable String quote, @Nullable String instead, String note) {
        return new MarkForm(1, "TEXT", 0, 0, 0, 0, null, "CHANGE", note, "client", start, quote, instead, null, null);
    }

    private static MarkForm moment(@Nullable Double from, @Nullable Double to, String shape) {
        return new MarkForm(
                1, shape, 0.1, 0.2, 0.3, 0.4, null, "CHANGE", "Too loud.", "client", null, null, null, from, to);
    }

    private static void isRefused(org.assertj.core.api.ThrowableAssert.ThrowingCallable reading, String sentence) {
        assertThatThrownBy(reading).isInstanceOf(Refused.class).hasMessageContaining(sentence);
    }

    @ParameterizedTest(name = "{0} {1} {2} {3} {4}: {5} {6} {7} {8}")
    @CsvSource({
        "POINT, 0.25, 0.75, 9, 9, 0.25, 0.75, 0, 0", "POINT, 0, 0, 0, 0, 0, 0, 0, 0", "POINT, 1, 1, 0, 0, 1, 1, 0, 0",
        "RECTANGLE, 0.25, 0.5, 0.5, 0.25, 0.25, 0.5, 0.5, 0.25", "RECTANGLE, 0, 0, 1, 1, 0, 0, 1, 1",
                "ELLIPSE, 0.25, 0.5, 0.5, 0.25, 0.25, 0.5, 0.5, 0.25",
        "LINE, 0.75, 0.5, 0.25, 0.25, 0.25, 0.25, 0.5, 0.25", "ARROW, 0.75, 0.5, 0.25, 0.25, 0.25, 0.25, 0.5, 0.25"
    })
    void aShapeStandsWhereItWasDrawn(
            String shape, double x1, double y1, double x2, double y2, double x, double y, double width, double height) {
        Place place = MarkForm.onSheet(3, shape, x1, y1, x2, y2, "CHANGE", "Here.", "client")
                .place(WorkKind.SHEETS, Optional.empty());
        assertThat(place.page()).isEqualTo(3);
        assertThat(place.bounds()).isEqualTo(new Box(x, y, width, height));
        assertThat(place.getClass().getSimpleName()).isEqualToIgnoringCase(shape);
    }

    @ParameterizedTest(name = "page {0}, {1} {2} {3} {4} {5}")
    @CsvSource({
        "0, POINT, 0.5, 0.5, 0, 0", "-1, POINT, 0.5, 0.5, 0, 0", "1, POINT, 1.01, 0.5, 0, 0",
                "1, POINT, 0.5, -0.01, 0, 0", "1, POINT, NaN, 0.5, 0, 0", "1, POINT, 0.5, Infinity, 0, 0",
        "1, RECTANGLE, 0.5, 0.5, 0, 0.2", "1, RECTANGLE, 0.5, 0.5, 0.2, -0.2", "1, RECTANGLE, 0.9, 0.5, 0.2, 0.2",
                "1, RECTANGLE, 0.5, 0.5, NaN, 0.2", "1, ELLIPSE, 0.5, 0.9, 0.2, 0.2", "1, ELLIPSE, 0.5, 0.5, 0.2, 0",
        "1, LINE, 0, 0, 1, 1.5", "1, ARROW, 0, 0, -Infinity, 1", "1, FREEHAND, 0, 0, 0, 0"
    })
    void whatLeavesTheSheetIsRefused(int page, String shape, double x1, double y1, double x2, double y2) {
        isRefused(
                () -> MarkForm.onSheet(page, shape, x1, y1, x2, y2, "CHANGE", "Here.", "client")
                        .place(WorkKind.SHEETS, Optional.empty()),
                "The mark lies outside the sheet");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "point", "STAR", "NONE", "TEXT"})
    void aShapeThatIsNoneOfThemIsRefused(String shape) {
        isRefused(
                () -> MarkForm.onSheet(1, shape, 0.5, 0.5, 0, 0, "CHANGE", "Here.", "client")
                        .place(WorkKind.SHEETS, Optional.empty()),
                "This kind of mark is not known");
    }

    @ParameterizedTest(name = "from {0}: {2}")
    @CsvSource(
            nullValues = "-",
            value = {
                "4, The, 0",
                "0, The, 0",
                "18, hall, 18",
                "28, hall, 28",
                "19, hall, 18",
                "-5, hall, 18",
                "999, hall, 18",
                "-, hall, 18",
                "0, The old dome., 0"
            })
    void wordsAreTakenWhereTheyStandElseWhereTheyAreFirst(@Nullable Integer start, String quote, int at) {
        Place.TextRange range =
                (Place.TextRange) words(start, quote, null, "Which?").place(WorkKind.TEXT, Optional.of(TEXT));
        assertThat(range.start()).isEqualTo(at);
        assertThat(TEXT.substring(range.start(), range.end())).isEqualTo(quote);
    }

    @Test
    void wordsOverTwoLinesAreFoundHoweverTheirLineEndCame() {
        assertThat(((Place.TextRange)
                                words(null, "dome.\r\nThe", null, "One line.").place(WorkKind.TEXT, Optional.of(TEXT)))
                        .start())
                .isEqualTo(8);
    }

    @Test
    void wordsThatAreNotThereOrTooManyAreRefused() {
        isRefused(
                () -> words(0, "the observatory", null, "x").place(WorkKind.TEXT, Optional.of(TEXT)),
                "These words are not in this version");
        isRefused(
                () -> words(0, " \n ", null, "x").place(WorkKind.TEXT, Optional.of(TEXT)),
                "Choose the words that you mean first");
        isRefused(
                () -> words(0, null, null, "x").place(WorkKind.TEXT, Optional.of(TEXT)),
                "Choose the words that you mean first");
        isRefused(
                () -> words(0, "x".repeat(4_001), null, "x").place(WorkKind.TEXT, Optional.of(TEXT)),
                "Up to 4,000 characters can be marked at a time; these are 4,001");
    }

    @ParameterizedTest(name = "{0} to {1}: {2} to {3}")
    @CsvSource(
            nullValues = "-",
            value = {"1.5, -, 1.5, 1.5", "1.5, 4, 1.5, 4", "-, -, 0, 0", "-, 4, 0, 4", "2, 2, 2, 2"})
    void aMomentOrASpanIsWhatIsPlayedThen(@Nullable Double from, @Nullable Double to, double begins, double ends) {
        Place.Moment moment = (Place.Moment) moment(from, to, "NONE").place(WorkKind.SOUND, Optional.empty());
        assertThat(moment.from()).isEqualTo(begins);
        assertThat(moment.to()).isEqualTo(ends);
        assertThat(moment.shape()).isEmpty();
        assertThat(((Place.Moment) moment(from, to, "RECTANGLE").place(WorkKind.VIDEO, Optional.empty())).shape())
                .hasValue(new Place.Rectangle(1, 0.1, 0.2, 0.3, 0.4));
    }

    @ParameterizedTest(name = "{0} to {1}")
    @CsvSource(
            nullValues = "-",
            value = {"4, 1.5", "-1, -", "-1, 2", "NaN, -", "1, NaN", "1, Infinity", "Infinity, -", "-, -3"})
    void aSpanThatEndsBeforeItBeginsOrNeverIsRefused(@Nullable Double from, @Nullable Double to) {
        isRefused(
                () -> moment(from, to, "NONE").place(WorkKind.VIDEO, Optional.empty()),
                "The mark ends before it begins, or lies outside what is played");
    }

    @ParameterizedTest
    @EnumSource(Intent.class)
    void itSaysWhatItWants(Intent intent) {
        assertThat(MarkForm.onSheet(1, "POINT", 0, 0, 0, 0, intent.name(), "x", "client")
                        .intended())
                .isEqualTo(intent);
        isRefused(
                () -> MarkForm.onSheet(1, "POINT", 0, 0, 0, 0, intent.name() + "S", "x", "client")
                        .intended(),
                "Say what the mark is");
    }

    @ParameterizedTest(name = "“{0}” is for the team: {1}")
    @CsvSource({"team, true", "client, false", "TEAM, false", "'', false", "everybody, false"})
    void onlyWhatSaysSoIsKeptAmongTheTeam(String audience, boolean forTeam) {
        assertThat(MarkForm.onSheet(1, "POINT", 0, 0, 0, 0, "IDEA", "x", audience)
                        .forTeam())
                .isEqualTo(forTeam);
    }

    @Test
    void aMarkNeedsANoteOrOtherWords() {
        isRefused(() -> words(0, "hall", null, "  ").said(), "Write a note to the mark first");
        isRefused(() -> words(0, "hall", "  ", "").said(), "Write a note to the mark first");
        assertThat(words(0, "hall", " room ", "").said()).isEmpty();
        assertThat(words(0, "hall", " room ", "").replacement()).isEqualTo("room");
        MarkForm onSheet =
                new MarkForm(1, "POINT", 0, 0, 0, 0, null, "CHANGE", "", "client", null, null, "room", null, null);
        isRefused(onSheet::said, "Write a note to the mark first");
        isRefused(
                () -> words(0, "hall", "x".repeat(2_001), "").said(),
                "The wording: 2,000 characters are allowed; this has 2,001.");
        isRefused(
                () -> words(0, "hall", null, "x".repeat(2_001)).said(),
                "The note: 2,000 characters are allowed; this has 2,001.");
    }
}
