package app.clearpane.formats.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Raster;
import app.clearpane.core.compare.Registration;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The laws of comparing on pages that other programs drew, moved, cut and encoded; {@code make-pages.sh} beside them
 * says how.
 */
class PagesMadeElsewhereTest {
    private static final Pattern WORD = Pattern.compile(
            "<word xMin=\"([\\d.]+)\" yMin=\"([\\d.]+)\" xMax=\"([\\d.]+)\" yMax=\"([\\d.]+)\">([^<]*)</word>");
    private static final double WIDTH = 500;
    private static final double HEIGHT = 695;

    private static Path made(String name) {
        return Path.of("src/test/resources/made-elsewhere", name);
    }

    private static Raster page(String name) throws IOException {
        return Rasters.read(made(name));
    }

    private static ChangeMap compared(String before, String after) throws IOException {
        ChangeMap map = ChangeMap.of(page(before), page(after));
        System.out.printf(
                "%-34s %3d regions, %6.3f %% changed, %s%n",
                after, map.regions().size(), map.share() * 100, map.size());
        return map;
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "page-right-0.125.png, 0.125, 0",
        "page-right-0.5-down-0.5.png, 0.5, 0.5",
        "page-right-6.375-down--11.25.png, 6.375, -11.25",
        "page-redrawn-0.3--0.65.png, 0.3, -0.65"
    })
    void aPageMovedByAPartOfAPixelIsUnchanged(String name, double right, double down) throws IOException {
        ChangeMap map = compared("page.png", name);
        assertThat(map.share()).isLessThan(0.002);
        assertThat(map.dx() * WIDTH).isCloseTo(right, within(0.0501));
        assertThat(map.dy() * HEIGHT).isCloseTo(down, within(0.0501));
        ChangeMap back = ChangeMap.of(page(name), page("page.png"));
        assertThat(back.regions()).isEqualTo(map.regions());
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"page-colours-halved.jpg, true", "page-colours-halved-across.jpg, true", "page-colours-whole.jpg, false"
    })
    void aPageEncodedAnewIsUnchanged(String name, boolean halved) throws IOException {
        assertThat(page(name).coloursHalved()).isEqualTo(halved);
        assertThat(compared("page.png", name).share()).isLessThan(0.002);
        assertThat(ChangeMap.of(page(name), page("page.png")).share()).isLessThan(0.002);
        assertThat(page("page.png").coloursHalved()).isFalse();
    }

    @Test
    void aPatchOfAnotherColourIsFoundAllTheSame() throws IOException {
        ChangeMap map = compared("patch-before.png", "patch-after.jpg");
        assertThat(map.regions()).hasSize(1);
        Box patch = new Box(400 / WIDTH, 655 / HEIGHT, 24 / WIDTH, 24 / HEIGHT);
        Box found = map.regions().get(0).box();
        assertThat(found.x()).isCloseTo(patch.x(), within(4 / WIDTH));
        assertThat(found.right()).isCloseTo(patch.right(), within(4 / WIDTH));
        assertThat(found.y()).isCloseTo(patch.y(), within(4 / HEIGHT));
        assertThat(found.bottom()).isCloseTo(patch.bottom(), within(4 / HEIGHT));
    }

    @Test
    void aPageThatWasCutIsNotTakenForAScaledOne() throws IOException {
        ChangeMap map = compared("page.png", "page-cut.png");
        assertThat(map.size()).isEqualTo(Registration.Size.CUT);
        assertThat(map.regions()).as("what was cut off").hasSize(1);
        assertThat(map.share()).isCloseTo(1 - 440 * 600 / (WIDTH * HEIGHT), within(0.002));
        Place.Spot there = map.across(0.5, 0.5);
        assertThat(there.x() * 440).isCloseTo(WIDTH / 2 - 30, within(0.1));
        assertThat(there.y() * 600).isCloseTo(HEIGHT / 2 - 60, within(0.1));
        assertThat(map.touch(new Place.Rectangle(1, 0.3, 0.3, 0.3, 0.2)).kind())
                .as("it is as it was")
                .isEqualTo(Touch.Kind.UNTOUCHED);
        assertThat(map.touch(new Place.Rectangle(1, 0, 0, 1, 0.05)).kind())
                .as("it was cut off")
                .isEqualTo(Touch.Kind.TOUCHED);
    }

    @Test
    void aPageExtendedAboveLiesFurtherDown() throws IOException {
        ChangeMap map = compared("page.png", "page-higher.png");
        assertThat(map.size()).isEqualTo(Registration.Size.CUT);
        assertThat(map.regions()).hasSize(1);
        assertThat(map.after(map.regions().get(0).box()).bottom() * (HEIGHT + 90))
                .isCloseTo(90, within(0.1));
        assertThat(map.across(0.5, 0.5).y() * (HEIGHT + 90)).isCloseTo(HEIGHT / 2 + 90, within(0.1));
    }

    @Test
    void aSmallerPageIsTheSameScaled() throws IOException {
        ChangeMap map = compared("page.png", "page-smaller.png");
        assertThat(map.size()).isEqualTo(Registration.Size.SCALED);
        assertThat(map.share()).isLessThan(0.002);
    }

    @Test
    void aFrameAroundAPageTouchesNoMarkOnIt() throws IOException {
        ChangeMap map = compared("page.png", "page-framed.png");
        assertThat(map.regions()).hasSize(1);
        assertThat(map.regions().get(0).box().area()).isGreaterThan(0.99);
        List<Place> marks = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            marks.add(new Place.Rectangle(1, 0.05 + i % 20 * 0.04, 0.05 + i / 20 * 0.055, 0.08, 0.06));
        }
        assertThat(marks).noneMatch(mark -> map.touch(mark).kind() == Touch.Kind.TOUCHED);
        assertThat(map.unasked(marks.subList(60, 240))).hasSize(1);
    }

    /** Words lie where another reader of PDF finds them, whichever way they read. */
    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"words", "words-turned-90", "words-turned-180", "words-turned-270"})
    void wordsLieWhereTheyAreDrawn(String name) throws IOException {
        boolean lying = name.endsWith("90") || name.endsWith("270");
        double width = lying ? 420 : 300;
        double height = lying ? 300 : 420;
        List<Word> ours = PdfWords.wordsOn(made(name + ".pdf")).wordsOn(1);
        List<MatchResult> theirs =
                WORD.matcher(Files.readString(made(name + ".html"))).results().toList();
        for (String word :
                List.of("upright", "harbour", "upwards", "lantern", "downwards", "tide", "overhead", "keeper")) {
            MatchResult there = theirs.stream()
                    .filter(one -> one.group(5).equals(word))
                    .findFirst()
                    .orElseThrow();
            Box expected = Box.between(
                    number(there, 1) / width,
                    number(there, 2) / height,
                    number(there, 3) / width,
                    number(there, 4) / height);
            liesThere(ours, word, expected);
        }
    }

    private void liesThere(List<Word> ours, String word, Box expected) throws IOException {
        Box found = ours.stream()
                .filter(one -> one.text().equals(word))
                .findFirst()
                .orElseThrow(() -> new AssertionError(word + " in " + ours))
                .box();
        assertThat(found.with(expected).area())
                .as("%s lies in what is drawn of it: %s in %s", word, found, expected)
                .isCloseTo(expected.area(), within(0.02 * expected.area()));
        assertThat(found.area()).as(word).isGreaterThan(0.6 * expected.area());
    }

    private static double number(MatchResult word, int group) {
        return Double.parseDouble(word.group(group));
    }
}
