package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Places go out as drawings and come back, and a drawing from elsewhere is read or refused. */
class SvgShapesTest {
    private static final PageSize SIZE = new PageSize(600, 800);

    private static Place random(Random random, int kind) {
        double x = random.nextDouble() / 2;
        double y = random.nextDouble() / 2;
        double width = 0.05 + random.nextDouble() / 3;
        double height = 0.05 + random.nextDouble() / 3;
        return switch (kind % 6) {
            case 0 -> new Place.Point(3, x, y);
            case 1 -> new Place.Rectangle(3, x, y, width, height);
            case 2 -> new Place.Ellipse(3, x, y, width, height);
            case 3 -> new Place.Line(3, x, y, x + width, y + height);
            case 4 -> new Place.Arrow(3, x + width, y + height, x, y);
            default ->
                new Place.Freehand(
                        3, List.of(new Place.Spot(x, y), new Place.Spot(x + width, y), new Place.Spot(x, y + height)));
        };
    }

    private static void isClose(Box read, Box wanted) {
        assertThat(read.x()).isCloseTo(wanted.x(), within(1e-5));
        assertThat(read.y()).isCloseTo(wanted.y(), within(1e-5));
        assertThat(read.width()).isCloseTo(wanted.width(), within(1e-5));
        assertThat(read.height()).isCloseTo(wanted.height(), within(1e-5));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void whatIsWrittenIsReadAgain(long seed) {
        Random random = new Random(seed);
        for (int kind = 0; kind < 24; kind++) {
            Place place = random(random, kind);
            Place read = SvgShapes.read(SvgShapes.write(place, SIZE), 3, SIZE);
            assertThat(read).hasSameClassAs(place);
            assertThat(read.page()).isEqualTo(3);
            isClose(read.bounds(), place.bounds());
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "<svg viewBox='100 50 200 100'><rect x='150' y='75' width='100' height='50'/></svg> | RECTANGLE | "
                        + "0.25 0.25 0.5 0.5",
                "<svg><rect x='150' y='200' width='300' height='400'/></svg> | RECTANGLE | 0.25 0.25 0.5 0.5",
                "<svg><g><circle cx='300' cy='400' r='150'/></g></svg> | ELLIPSE | 0.25 0.3125 0.5 0.375",
                "<svg><circle cx='300' cy='400' r='6'/></svg> | POINT | 0.5 0.5 0 0",
                "<svg><circle class='point' cx='300' cy='400' r='150'/></svg> | POINT | 0.5 0.5 0 0",
                "<svg><line x1='0' y1='0' x2='300' y2='400' marker-end='url(#tip)'/></svg> | ARROW | 0 0 0.5 0.5",
                "<svg><polygon points='0,0 300,0 300,400'/></svg> | FREEHAND | 0 0 0.5 0.5",
                "<svg><path d='M0 0 L300 400 Z'/></svg> | FREEHAND | 0 0 0.5 0.5",
                "<svg><text>no shape</text><ellipse cx='3e2' cy='+400' rx='.6e2' ry='80.'/></svg> | ELLIPSE | 0.4 "
                        + "0.4 0.2 0.2"
            })
    void aDrawingFromElsewhereIsReadInItsOwnUnits(String svg, String shape, String box) {
        Place read = SvgShapes.read(svg, 1, SIZE);
        assertThat(read.getClass().getSimpleName()).isEqualToIgnoringCase(shape);
        double[] sides = List.of(box.split(" ")).stream()
                .mapToDouble(Double::parseDouble)
                .toArray();
        isClose(read.bounds(), new Box(sides[0], sides[1], sides[2], sides[3]));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no drawing",
                "<svg/>",
                "<svg><text>words</text></svg>",
                "<svg><path d='M0 0 C1 1 2 2 3 3'/></svg>",
                "<svg><rect x='-10' y='0' width='20' height='20'/></svg>",
                "<svg><rect x='0' y='0' width='0' height='20'/></svg>",
                "<svg viewBox='0 0 0 0'><rect x='0' y='0' width='10' height='10'/></svg>",
                "<svg><circle cx='9999' cy='0' r='1'/></svg>",
                "<svg><polyline points='1,1'/></svg>",
                "<svg><polyline points=''/></svg>",
                "<svg><line x1='1e999' y1='0' x2='1' y2='1'/></svg>",
                "<svg><rect x='<script>' y='0' width='-5' height='5'/></svg>",
                "<html><body>words</body></html>"
            })
    void whatIsNoneOrLiesOutsideIsRefused(String svg) {
        assertThatIllegalArgumentException().isThrownBy(() -> SvgShapes.read(svg, 1, SIZE));
    }

    @Test
    void aBoxOfAMediaFragmentIsInPixelsOrInParts() {
        isClose(SvgShapes.box("percent:25,50,50,25", 1, SIZE).bounds(), new Box(0.25, 0.5, 0.5, 0.25));
        isClose(SvgShapes.box("pixel:150,400,300,200", 1, SIZE).bounds(), new Box(0.25, 0.5, 0.5, 0.25));
        isClose(SvgShapes.box("150,400,300,200&t=3", 1, SIZE).bounds(), new Box(0.25, 0.5, 0.5, 0.25));
        for (String bad : List.of("", "1,2,3", "percent:1,2,3,4,5", "percent:90,0,20,10", "pixel:a,b,c,d")) {
            assertThatIllegalArgumentException().as(bad).isThrownBy(() -> SvgShapes.box(bad, 1, SIZE));
        }
    }

    /** Whatever is sent, it is read or refused, and nothing else happens. */
    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4})
    void rubbishIsReadOrRefused(long seed) {
        Random random = new Random(seed);
        List<String> pieces = piecesOfDrawings();
        for (int i = 0; i < 500; i++) {
            StringBuilder svg = new StringBuilder(random.nextBoolean() ? "<svg>" : "");
            for (int piece = random.nextInt(14); piece > 0; piece--) {
                svg.append(pieces.get(random.nextInt(pieces.size())));
            }
            try {
                Box box = SvgShapes.read(svg.toString(), 1, SIZE).bounds();
                assertThat(box.x() >= 0 && box.y() >= 0 && box.right() <= 1 + 1e-8 && box.bottom() <= 1 + 1e-8)
                        .as(svg.toString())
                        .isTrue();
            } catch (IllegalArgumentException refused) {
                assertThat(refused.getMessage()).isNotBlank();
            }
        }
    }

    private List<String> piecesOfDrawings() {
        List<String> pieces = List.of(
                "<svg",
                " viewBox='",
                "0 0 10 10'",
                ">",
                "<rect",
                "<path d='",
                "M",
                "1,2",
                " -3e5 ",
                "'/>",
                "</svg>",
                "<!--",
                "&amp;",
                "\u0000",
                "🌒",
                "NaN",
                "points=\"",
                "\"",
                "<polyline ",
                "r='1e9'");
        return pieces;
    }
}
