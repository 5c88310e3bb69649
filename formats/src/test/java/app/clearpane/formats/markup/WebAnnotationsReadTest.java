package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WebAnnotationsReadTest {
    private static final PageSize SIZE = new PageSize(800, 600);
    private static final Map<Integer, PageSize> PAGES = Map.of(1, SIZE, 2, SIZE);

    private static BroughtMark.Read read(String selector) {
        return WebAnnotations.read("""
        {"type": "Annotation", "id": "urn:x:1", "creator": {"name": "Annick"}, "body": {"type": "TextualBody",
        "value": "Wider"}, "target": {"source": "x", "selector": %s}}""".formatted(selector), PAGES);
    }

    private static Place place(String selector) {
        BroughtMark.Read read = read(selector);
        assertThat(read.skipped()).isEmpty();
        return read.marks().get(0).place();
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {31, 32, 33, 34, 35})
    void bringsBackWhatItWrote(long seed) {
        List<Annotation> marks = Marks.ofEveryKind(seed, 2, SIZE);
        BroughtMark.Read read =
                WebAnnotations.read(WebAnnotations.write(Sha256.ofText("file"), "image/png", marks), PAGES);
        assertThat(read.skipped()).isEmpty();
        assertThat(read.marks()).hasSameSizeAs(marks);
        for (int i = 0; i < marks.size(); i++) {
            assertThat(Marks.apart(marks.get(i).place(), read.marks().get(i).place()))
                    .isLessThan(0.0005);
            assertThat(read.marks().get(i))
                    .extracting(BroughtMark::origin, BroughtMark::intent, BroughtMark::note, BroughtMark::author)
                    .containsExactly(
                            marks.get(i).id(),
                            marks.get(i).intent(),
                            marks.get(i).note(),
                            marks.get(i).author());
        }
    }

    @Test
    void readsBoxesOfMediaFragmentsInPercentAndPixels() {
        assertThat(place("{\"type\": \"FragmentSelector\", \"value\": \"xywh=percent:10,20,30,40\"}"))
                .isEqualTo(new Place.Rectangle(1, 0.1, 0.2, 0.3, 0.4));
        assertThat(place("{\"type\": \"FragmentSelector\", \"value\": \"xywh=80,60,160,120\"}"))
                .isEqualTo(new Place.Rectangle(1, 0.1, 0.1, 0.2, 0.2));
        assertThat(place("{\"type\": \"FragmentSelector\", \"value\": \"page=2\", \"refinedBy\": {\"type\": "
                        + "\"FragmentSelector\", \"value\": \"xywh=pixel:0,0,800,600\"}}"))
                .isEqualTo(new Place.Rectangle(2, 0, 0, 1, 1));
    }

    @Test
    void readsShapesOthersDraw() {
        assertThat(place("{\"type\": \"SvgSelector\", \"value\": \"<svg "
                        + "xmlns='http://www.w3.org/2000/svg'><polygon points='0,0 400,0 400,300'/></svg>\"}"))
                .isInstanceOf(Place.Freehand.class);
        assertThat(place("{\"type\": \"SvgSelector\", \"value\": \"<svg><circle cx='400' cy='300' r='80'/></svg>\"}"))
                .isEqualTo(new Place.Ellipse(1, 0.4, (300 - 80) / 600.0, 0.2, 160 / 600.0));
        assertThat(place("{\"type\": \"SvgSelector\", \"value\": \"<svg viewBox='0 0 100 100'><path d='M10 "
                        + "10L20 20L30 10'/></svg>\"}"))
                .isEqualTo(new Place.Freehand(
                        1, List.of(new Place.Spot(0.1, 0.1), new Place.Spot(0.2, 0.2), new Place.Spot(0.3, 0.1))));
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "{\"type\": \"CssSelector\", \"value\": \"#main\"}",
                "{\"type\": \"FragmentSelector\", \"value\": \"page=9\", \"refinedBy\": {\"type\": "
                        + "\"FragmentSelector\", \"value\": \"xywh=percent:1,1,1,1\"}}",
                "{\"type\": \"FragmentSelector\", \"value\": \"xywh=percent:90,90,30,30\"}",
                "{\"type\": \"FragmentSelector\", \"value\": \"xywh=percent:1,2\"}",
                "{\"type\": \"SvgSelector\", \"value\": \"<svg><path d='M0 0C1 1 2 2 3 3'/></svg>\"}",
                "{\"type\": \"SvgSelector\", \"value\": \"<svg><script>alert(1)</script></svg>\"}",
                "{\"type\": \"SvgSelector\", \"value\": \"nothing\"}",
                "[]",
                "null",
                "7"
            })
    void listsWhatItCannotReadAndGoesOn(String selector) {
        BroughtMark.Read read = read(selector);
        assertThat(read.marks()).isEmpty();
        assertThat(read.skipped()).hasSize(1);
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"{}", "[]", "{\"items\": 3}", "\"words\"", "12"})
    void findsNothingInJsonOfAnotherKind(String json) {
        assertThat(WebAnnotations.read(json, PAGES)).isEqualTo(new BroughtMark.Read(List.of(), List.of()));
    }

    private static final String REFRAIN = "The dome turns. The dome rests. The dome turns.";

    /** Words that stand three times come back where they were. */
    @ParameterizedTest
    @ValueSource(ints = {0, 16, 32})
    void bringsWordsThatRepeatBackWhereTheyWere(int start) {
        Place.TextRange dome = new Place.TextRange(start, start + 8, "The dome", "", "");
        Annotation mark = new Annotation(
                "urn:uuid:1",
                "1·1",
                dome,
                SIZE,
                Intent.CHANGE,
                MarkupProgress.OPEN,
                "Which?",
                "Ottoline",
                Instant.EPOCH,
                List.of(),
                Optional.empty());
        BroughtMark.Read read = WebAnnotations.read(
                WebAnnotations.write(Sha256.ofText("file"), "text/plain", List.of(mark)), Map.of(), REFRAIN);
        assertThat(read.marks()).singleElement().satisfies(brought -> assertThat(
                        ((Place.TextRange) brought.place()).start())
                .isEqualTo(start));
    }

    @Test
    void takesTheFirstWayToSayWhereThatItCanRead() {
        assertThat(place("[{\"type\": \"CssSelector\", \"value\": \"#main\"}, {\"type\": "
                        + "\"FragmentSelector\", \"value\": \"xywh=percent:10,20,30,40\"}]"))
                .isEqualTo(new Place.Rectangle(1, 0.1, 0.2, 0.3, 0.4));
        assertThat(place("{\"type\": \"FragmentSelector\", \"value\": \"t=npt:0:01:15.5,1:20\"}"))
                .isEqualTo(new Place.Moment(75.5, 80, Optional.empty()));
        BroughtMark.Read position = WebAnnotations.read("""
        {"bodyValue": "These", "target": {"source": "x", "selector": {"type": "TextPositionSelector",
        "start": 4, "end": 8}}}""", Map.of(), REFRAIN);
        assertThat(position.marks().get(0)).satisfies(mark -> {
            assertThat(mark.note()).isEqualTo("These");
            assertThat(((Place.TextRange) mark.place()).quote()).isEqualTo("dome");
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"http://x.example/map.pdf#page=2&xywh=percent:10,20,30,40\"",
                "{\"source\": \"http://x.example/map.pdf#page=2&xywh=percent:10,20,30,40\"}",
                "{\"id\": \"http://x.example/map.pdf#xywh=percent:10,20,30,40&page=2\"}"
            })
    void readsAPlaceBehindTheAddress(String target) {
        BroughtMark.Read read = WebAnnotations.read("{\"body\": \"Here\", \"target\": " + target + "}", PAGES);
        assertThat(read.marks())
                .singleElement()
                .extracting(BroughtMark::place)
                .isEqualTo(new Place.Rectangle(2, 0.1, 0.2, 0.3, 0.4));
    }

    @Test
    void saysWhatItLeftOutAndPlacesNothingWrong() {
        assertThat(read("{\"type\": \"SvgSelector\", \"value\": \"<svg><g transform='rotate(45)'><rect x='1' "
                                + "y='1' width='9' height='9'/></g></svg>\"}")
                        .skipped())
                .singleElement()
                .asString()
                .contains("transform");
        BroughtMark.Read two = WebAnnotations.read(
                "{\"body\": \"Both\", \"target\": [\"x#xywh=percent:1,1,5,5\", \"x#xywh=percent:50,50,5,5\"]}", PAGES);
        assertThat(two.marks()).hasSize(1);
        assertThat(two.skipped()).singleElement().asString().contains("2 places, of which the first was read");
        BroughtMark.Read half =
                WebAnnotations.read("{\"body\": \"Moon \\ud83c here\", \"target\": \"x#xywh=percent:1,1,5,5\"}", PAGES);
        assertThat(half.marks().get(0).note()).isEqualTo("Moon ? here");
    }

    @Test
    void givesWhatItWritesNamesAndEqualRepliesTwoOfThem() {
        Annotation.Reply same = new Annotation.Reply("Yes", "Ines", Instant.EPOCH);
        Annotation mark = new Annotation(
                "urn:uuid:1",
                "1·1",
                new Place.Rectangle(1, 0.1, 0.2, 0.3, 0.4),
                SIZE,
                Intent.CHANGE,
                MarkupProgress.OPEN,
                "Wider",
                "Ottoline",
                Instant.EPOCH,
                List.of(same, same),
                Optional.empty());
        String written = WebAnnotations.write(Sha256.ofText("file"), "image/png", List.of(mark));
        assertThat(written)
                .contains(
                        "\"urn:uuid:1#0\"",
                        "\"urn:uuid:1#1\"",
                        ":annotations\"",
                        ":annotations:1\"",
                        "\"partOf\"",
                        "\"startIndex\" : 0");
    }

    @Test
    void refusesWhatIsNotJson() {
        assertThatThrownBy(() -> WebAnnotations.read("<html>", PAGES))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("not JSON");
    }

    @Test
    void takesTheIntentFromATagAndAChangeWithoutOne() {
        String json = """
        [{"body": [{"value": "Lovely", "purpose": "commenting"}, {"value": "keep", "purpose": "tagging"}],
        "target": {"selector": {"type": "FragmentSelector", "value": "xywh=percent:1,1,5,5"}}},
         {"body": "Plain words", "creator": "Dov", "target": {"selector": {"type": "FragmentSelector",
         "value": "xywh=percent:1,1,5,5"}}}]""";
        BroughtMark.Read read = WebAnnotations.read(json, PAGES);
        assertThat(read.marks()).extracting(BroughtMark::intent).containsExactly(Intent.KEEP, Intent.CHANGE);
        assertThat(read.marks()).extracting(BroughtMark::note).containsExactly("Lovely", "Plain words");
        assertThat(read.marks().get(1).author()).isEqualTo("Dov");
        assertThat(read.marks()).extracting(BroughtMark::origin).doesNotHaveDuplicates();
    }
}
