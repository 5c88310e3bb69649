package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChangeMapTest {
    private static final int WIDTH = 1_600;
    private static final int HEIGHT = 2_262;

    private static ChangeMap told(String what, BufferedImage before, BufferedImage after) {
        ChangeMap map = ChangeMap.of(Drawn.raster(before), Drawn.raster(after));
        System.out.printf(
                "%-34s %3d regions, %6.3f %% changed, shift %+.2f %+.2f px%s%n",
                what,
                map.regions().size(),
                map.share() * 100,
                map.dx() * before.getWidth(),
                map.dy() * Math.max(before.getHeight(), after.getHeight()),
                map.aligned() ? "" : ", could not be aligned");
        return map;
    }

    private static BufferedImage with(Consumer<Graphics2D> more) {
        return Drawn.page(WIDTH, HEIGHT, 7, more);
    }

    @Test
    void findsNothingBetweenAPageAndItself() {
        assertThat(told("the same page", with(g -> {}), with(g -> {}))).satisfies(map -> {
            assertThat(map.same()).isTrue();
            assertThat(map.share()).isZero();
        });
    }

    @Test
    void findsTextThatMovedWhereItWasAndWhereItIs() {
        ChangeMap map = told(
                "text moved by 40",
                with(g -> Drawn.text(g, "Open until ten", 50, 1_100, 20)),
                with(g -> Drawn.text(g, "Open until ten", 50, 1_140, 20)));
        assertThat(map.regions()).hasSizeBetween(1, 2);
        assertThat(map.dx()).isZero();
        assertThat(map.dy()).isZero();
        assertThat(map.regions().stream().map(Region::box).reduce(Box::with).orElseThrow())
                .satisfies(box -> {
                    assertThat(box.x()).isCloseTo(0.05, within(0.005));
                    assertThat(box.y() * HEIGHT / WIDTH).isBetween(1.075, 1.095);
                    assertThat(box.bottom() * HEIGHT / WIDTH).isBetween(1.135, 1.155);
                });
    }

    @Test
    void findsOneWordAmongHundreds() {
        ChangeMap map = told(
                "one small word",
                with(g -> Drawn.text(g, "Kennel Lane", 300, 1_000, 11)),
                with(g -> Drawn.text(g, "Kettle Lane", 300, 1_000, 11)));
        assertThat(map.regions()).hasSize(1);
        assertThat(map.regions().get(0).box().area()).isLessThan(0.001);
    }

    @Test
    void seesAColourShiftThatTheEyeJustSees() {
        ChangeMap map =
                told("a colour shifted by ΔE 0.03", with(g -> filled(g, 0x14706A)), with(g -> filled(g, 0x1A7972)));
        assertThat(map.regions()).hasSize(1);
        assertThat(map.regions().get(0).share()).isGreaterThan(0.95);
        assertThat(map.regions().get(0).box().area()).isCloseTo(0.2 * 0.1 * WIDTH / HEIGHT, within(0.002));
    }

    @Test
    void overlooksAColourShiftThatTheEyeDoesNotSee() {
        assertThat(told("a colour shifted by ΔE 0.008", with(g -> filled(g, 0x14706A)), with(g -> filled(g, 0x15726C)))
                        .same())
                .isTrue();
    }

    private static void filled(Graphics2D g, int rgb) {
        g.setColor(new Color(rgb));
        g.fillRect(100, 1_050, 200, 100);
    }

    @Test
    void overlooksEdgesThatAreOnlySmoothedDifferently() {
        BufferedImage before = new BufferedImage(800, 400, BufferedImage.TYPE_INT_RGB);
        shapes(before, 1, RenderingHints.VALUE_ANTIALIAS_ON);
        BufferedImage large = new BufferedImage(6_400, 3_200, BufferedImage.TYPE_INT_RGB);
        shapes(large, 8, RenderingHints.VALUE_ANTIALIAS_OFF);
        Raster after = Drawn.raster(large).narrowedTo(800);
        ChangeMap map = ChangeMap.of(Drawn.raster(before), after);
        assertThat(Arrays.mismatch(Drawn.raster(before).rgb(), after.rgb()))
                .as("they do differ")
                .isNotNegative();
        System.out.printf(
                "%-34s %3d regions, %6.3f %% changed%n",
                "edges smoothed differently", map.regions().size(), map.share() * 100);
        assertThat(map.regions()).isEmpty();
    }

    private static void shapes(BufferedImage image, int scale, Object smoothing) {
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, smoothing);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.setColor(new Color(0xF6F5EF));
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.scale(scale, scale);
        g.setColor(new Color(0x22282C));
        g.fill(new java.awt.geom.Ellipse2D.Double(200.3, 60.7, 250, 110));
        g.setStroke(new java.awt.BasicStroke(3.3f));
        g.draw(new java.awt.geom.Line2D.Double(30.5, 350.2, 750.1, 210.9));
        g.setColor(new Color(0xA8321F));
        g.draw(new java.awt.geom.Line2D.Double(50.2, 45.4, 190.6, 330.3));
        g.dispose();
    }

    @ParameterizedTest(name = "re-encoded as JPEG at {0}")
    @ValueSource(floats = {0.85f, 0.92f})
    void overlooksWhatJpegDoes(float quality) {
        BufferedImage page = with(g -> {});
        assertThat(told("re-encoded as JPEG " + Math.round(quality * 100), page, Drawn.asJpeg(page, quality))
                        .share())
                .isLessThan(0.002);
    }

    @ParameterizedTest(name = "moved by {0}, {1}")
    @CsvSource({"3, 0", "0, 3", "3, 3", "-7, 12", "40, -25", "1, 0", "2.5, 0", "0.5, 1.5"})
    void findsAShiftAndNothingElse(double dx, double dy) {
        BufferedImage page = with(g -> {});
        ChangeMap map = told("moved by " + dx + ", " + dy, page, Drawn.moved(page, dx, dy));
        assertThat(map.dx() * WIDTH).isCloseTo(dx, within(0.26));
        assertThat(map.dy() * HEIGHT).isCloseTo(dy, within(0.26));
        assertThat(map.share()).isLessThan(0.002);
        Place.Spot there = map.across(0.5, 0.5);
        assertThat(there.x()).isCloseTo(0.5 + dx / WIDTH, within(0.0002));
        assertThat(there.y()).isCloseTo(0.5 + dy / HEIGHT, within(0.0002));
    }

    @Test
    void findsAChangeOnAPageThatMovedToo() {
        BufferedImage after = Drawn.moved(with(g -> filled(g, 0xA8321F)), 5, -4);
        ChangeMap map = told("moved, and a patch added", with(g -> {}), after);
        assertThat(map.regions()).isNotEmpty();
        Box box = map.after(map.regions().get(0).box());
        assertThat(box.x() * WIDTH).isCloseTo(165, within(3.0));
        assertThat(box.y() * HEIGHT).isCloseTo(1_676, within(3.0));
        assertThat(map.before(map.regions().get(0).box()).x() * WIDTH).isCloseTo(160, within(3.0));
    }

    @Test
    void comparesAPictureWithALargerCopyOfItself() {
        ChangeMap map = told("drawn larger", Drawn.page(800, 1_131, 7), Drawn.page(WIDTH, HEIGHT, 7));
        assertThat(map.size()).isEqualTo(Registration.Size.SCALED);
        assertThat(map.aligned()).isTrue();
        assertThat(map.share()).isLessThan(0.01);
    }

    @Test
    void saysThatATurnedPageCannotBeAligned() {
        BufferedImage page = with(g -> {});
        ChangeMap map = told("turned by a quarter", page, Drawn.turned(page));
        assertThat(map.aligned()).isFalse();
        assertThat(map.share()).isGreaterThan(0.3);
    }

    @Test
    void saysThatAnotherPageCannotBeAligned() {
        assertThat(told("another page", with(g -> {}), Drawn.page(WIDTH, HEIGHT, 99))
                        .share())
                .isGreaterThan(0.02);
    }

    @Test
    void countsTheStripThatAHigherPageHasMore() {
        BufferedImage after = new BufferedImage(WIDTH, HEIGHT + 400, BufferedImage.TYPE_INT_RGB);
        after.createGraphics().drawImage(with(g -> {}), 0, 0, null);
        ChangeMap map = told("400 px higher", with(g -> {}), after);
        assertThat(map.regions()).hasSize(1);
        assertThat(map.after(map.regions().get(0).box()).y())
                .isCloseTo((double) HEIGHT / (HEIGHT + 400), within(0.001));
        assertThat(map.across(0, 1).y()).isCloseTo((double) HEIGHT / (HEIGHT + 400), within(0.001));
    }

    @Test
    void letsWordsThatDifferBeRegionsOfAnySize() {
        ChangeMap map = ChangeMap.nothing(1).withWords(List.of(new Box(0.2, 0.3, 0.01, 0.004)));
        assertThat(map.regions()).containsExactly(Region.ofWord(new Box(0.2, 0.3, 0.01, 0.004)));
        assertThat(map.withWords(List.of(new Box(0.205, 0.301, 0.02, 0.002))).regions())
                .hasSize(1);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void givesTheSameRegionsTheOtherWayRound(long seed) {
        Random random = new Random(seed);
        BufferedImage page = Drawn.page(700, 500, seed);
        BufferedImage other = Drawn.moved(
                Drawn.page(700, 500, seed, g -> {
                    for (int i = 0; i < 6; i++) {
                        g.setColor(new Color(random.nextInt(0xFFFFFF)));
                        g.fillRect(
                                random.nextInt(900),
                                random.nextInt(600),
                                1 + random.nextInt(60),
                                1 + random.nextInt(40));
                    }
                }),
                random.nextInt(9) - 4,
                random.nextInt(9) / 2.0 - 2);
        ChangeMap there = ChangeMap.of(Drawn.raster(page), Drawn.raster(other));
        ChangeMap back = ChangeMap.of(Drawn.raster(other), Drawn.raster(page));
        assertThat(there.regions()).isNotEmpty();
        assertThat(back.regions()).isEqualTo(there.regions());
        assertThat(back.share()).isEqualTo(there.share());
        assertThat(back.dx()).isEqualTo(-there.dx());
    }
}
