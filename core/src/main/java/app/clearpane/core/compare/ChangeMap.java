package app.clearpane.core.compare;

import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What differs between a page of one version and a page of another (C3).
 *
 * <p>Regions are in the frame both pages share: as wide as the wider and as high as the higher one. Where both are of
 * one size each is moved by half of the shift, else the smaller one lies where it lies on the larger. {@link #before}
 * and {@link #after} bring regions onto a page; {@link #across} brings a place from the earlier page onto the later
 * one.
 *
 * @param regions largest first
 * @param share how much of the shared frame differs, 0 to 1
 * @param aligned false if the pages have too little in common to say how they lie on each other
 * @param size how one became the size of the other
 * @param beforeAt where the earlier page lies in the frame, in fractions of it
 * @param afterAt where the later one does
 * @param ratio the height of the shared frame over its width
 */
public record ChangeMap(
        List<Region> regions,
        double share,
        boolean aligned,
        Registration.Size size,
        Box beforeAt,
        Box afterAt,
        double ratio) {
    private static final Comparator<Region> LARGEST =
            Comparator.comparingDouble((Region region) -> region.box().area()).reversed();
    private static final Box WHOLE = new Box(0, 0, 1, 1);
    private static final double TOLERANCE = 0.02;
    /** Where one was made smaller: drawing anew softens it. */
    private static final double TOLERANCE_WHEN_SCALED = 0.06;
    /** How much of the range of colours around a pixel is allowed besides, where a part of a pixel was moved. */
    private static final double OF_RANGE_WHEN_MOVED = 0.15;
    /** The same of the range of hues, where a file keeps one for several pixels. */
    private static final double OF_HUES_WHEN_HALVED = 0.25;

    public ChangeMap {
        regions = List.copyOf(regions);
    }

    /** Two pages with the same picture. @param ratio their height over their width */
    public static ChangeMap nothing(double ratio) {
        return new ChangeMap(List.of(), 0, true, Registration.Size.SAME, WHOLE, WHOLE, ratio);
    }

    /** Compares two pages. The same pages the other way round give the same regions. */
    public static ChangeMap of(Raster before, Raster after) {
        return Registration.readings(before, after).stream()
                .map(ChangeMap::compared)
                .min(Comparator.comparing((Compared one) -> !one.map.aligned).thenComparingDouble(Compared::left))
                .orElseThrow()
                .map;
    }

    /** Compares two pages that lie on each other. */
    public static ChangeMap of(Registration laid) {
        return compared(laid).map;
    }

    /** What differs, and what part of what both show that is. */
    private record Compared(ChangeMap map, double left) {}

    private static Compared compared(Registration laid) {
        boolean halved = laid.before().coloursHalved() || laid.after().coloursHalved();
        Raster before = halved ? HalvedColours.of(laid.before()) : laid.before();
        Raster after = halved ? HalvedColours.of(laid.after()) : laid.after();
        Along x = Along.of(before.width(), after.width(), laid.dx());
        Along y = Along.of(before.height(), after.height(), laid.dy());
        Raster a = Moved.by(before, x.shift.rest() / 2, y.shift.rest() / 2);
        Raster b = Moved.by(after, -x.shift.rest() / 2, -y.shift.rest() / 2);
        boolean inParts = x.shift.rest() != 0 || y.shift.rest() != 0;
        PixelDifference.Tolerance tolerance = new PixelDifference.Tolerance(
                laid.size() == Registration.Size.SCALED ? TOLERANCE_WHEN_SCALED : TOLERANCE,
                inParts ? OF_RANGE_WHEN_MOVED : 0,
                halved ? OF_HUES_WHEN_HALVED : 0);
        Bits bits = new PixelDifference(a, b, x.shift.whole(), y.shift.whole(), tolerance).differing();
        long differing = 0;
        List<Region> regions = new ArrayList<>();
        for (Regions.Piece piece : Regions.of(bits, Math.min(a.width(), b.width()))) {
            differing += piece.pixels();
            regions.add(region(
                    new Runs(
                            x.part / x.frame,
                            y.part / y.frame,
                            1.0 / x.frame,
                            1.0 / y.frame,
                            piece.spans(x.begin, y.begin)),
                    piece.pixels(),
                    x.frame * y.frame));
        }
        double left = (double) differing / Math.max(1, x.common * y.common);
        Runs only = onlyOnOne(x, y);
        if (only.spans().length > 0) {
            differing += only.pixels();
            regions.add(region(only, only.pixels(), x.frame * y.frame));
            regions.sort(LARGEST);
        }
        return new Compared(
                new ChangeMap(
                        regions,
                        differing / (x.frame * y.frame),
                        laid.aligned(),
                        laid.size(),
                        new Box(
                                x.before / x.frame,
                                y.before / y.frame,
                                before.width() / x.frame,
                                before.height() / y.frame),
                        new Box(
                                x.after / x.frame,
                                y.after / y.frame,
                                after.width() / x.frame,
                                after.height() / y.frame),
                        y.frame / x.frame),
                left);
    }

    private static Region region(Runs runs, long pixels, double frame) {
        return new Region(runs.box(), pixels / (runs.box().area() * frame), false, runs);
    }

    /** What lies on the larger page and not on the smaller one; nothing where they are of one size. */
    private static Runs onlyOnOne(Along x, Along y) {
        List<Integer> spans = new ArrayList<>();
        for (int row = 0; row < y.frame; row++) {
            boolean beside = row < y.from || row >= y.to;
            if (beside) {
                spans.addAll(List.of(row, 0, (int) x.frame));
            } else {
                if (x.from > 0) {
                    spans.addAll(List.of(row, 0, x.from));
                }
                if (x.to < x.frame) {
                    spans.addAll(List.of(row, x.to, (int) x.frame));
                }
            }
        }
        return new Runs(
                0,
                0,
                1.0 / x.frame,
                1.0 / y.frame,
                spans.stream().mapToInt(Integer::intValue).toArray());
    }

    /**
     * How two pages lie in the frame in one direction, in pixels.
     *
     * @param frame how long it is
     * @param before where the earlier page begins
     * @param after where the later one does
     * @param begin where the pixels of the earlier page, once it is moved by its half of a part of a pixel, begin:
     *     whole ones
     * @param part and a part of one besides
     * @param from where what is on both begins
     * @param to where it ends
     * @param common how long what is on both is
     */
    private record Along(
            double frame,
            Registration.Halves shift,
            double before,
            double after,
            int begin,
            double part,
            int from,
            int to,
            double common) {
        static Along of(int before, int after, double pixels) {
            Registration.Halves shift = Registration.Halves.of(pixels);
            int frame = Math.max(before, after);
            double common = Math.min(before, after - shift.whole()) - Math.max(0, -shift.whole());
            if (Math.abs(before - after) <= 1) {
                return new Along(
                        frame,
                        shift,
                        pixels / 2,
                        -pixels / 2,
                        Math.floorDiv(shift.whole(), 2),
                        Math.floorMod(shift.whole(), 2) / 2.0,
                        0,
                        frame,
                        common);
            }
            boolean smaller = before < after;
            int at = smaller ? shift.whole() : -shift.whole();
            return new Along(
                    frame,
                    shift,
                    smaller ? pixels : 0,
                    smaller ? 0 : -pixels,
                    smaller ? shift.whole() : 0,
                    (smaller ? 1 : -1) * shift.rest() / 2,
                    Math.max(0, at),
                    Math.min(frame, at + Math.min(before, after)),
                    common);
        }
    }

    /** Whether nothing differs. */
    public boolean same() {
        return regions.isEmpty();
    }

    /** By how much the later content lies further right, in widths of the frame. */
    public double dx() {
        return beforeAt.x() - afterAt.x();
    }

    /** By how much it lies further down, in heights of the frame. */
    public double dy() {
        return beforeAt.y() - afterAt.y();
    }

    /** With regions for words that differ where no region is yet. @param words boxes in the shared frame */
    public ChangeMap withWords(List<Box> words) {
        List<Region> all = new ArrayList<>(regions);
        for (Box word : words) {
            if (all.stream().noneMatch(region -> meets(region, word))) {
                all.add(Region.ofWord(word));
            }
        }
        all.sort(LARGEST);
        return new ChangeMap(all, share, aligned, size, beforeAt, afterAt, ratio);
    }

    private static boolean meets(Region region, Box word) {
        Box box = region.box();
        return box.x() <= word.right()
                && word.x() <= box.right()
                && box.y() <= word.bottom()
                && word.y() <= box.bottom();
    }

    /** What changed where a mark stands on the earlier page (C4). */
    public Touch touch(Place ofBefore) {
        return Touch.of(ofBefore, regions.stream().map(this::onBefore).toList(), ratioOfBefore());
    }

    /** The regions at which none of these places on the earlier page asked for anything. */
    public List<Region> unasked(List<Place> asked) {
        return regions.stream()
                .filter(region -> !Touch.asked(asked, onBefore(region), ratioOfBefore()))
                .toList();
    }

    private Runs onBefore(Region region) {
        return region.pixels().on(beforeAt);
    }

    private double ratioOfBefore() {
        return ratio * beforeAt.height() / beforeAt.width();
    }

    /** A box of the shared frame on the earlier page, in fractions of it. */
    public Box before(Box box) {
        return on(beforeAt, box).onPage();
    }

    /** A box of the shared frame on the later page, in fractions of it. */
    public Box after(Box box) {
        return on(afterAt, box).onPage();
    }

    private static Box on(Box page, Box box) {
        return new Box(
                (box.x() - page.x()) / page.width(),
                (box.y() - page.y()) / page.height(),
                box.width() / page.width(),
                box.height() / page.height());
    }

    /** A box of the earlier page in the shared frame. */
    public Box fromBefore(Box box) {
        return from(beforeAt, box);
    }

    /** A box of the later page in the shared frame. */
    public Box fromAfter(Box box) {
        return from(afterAt, box);
    }

    private static Box from(Box page, Box box) {
        return new Box(
                page.x() + box.x() * page.width(),
                page.y() + box.y() * page.height(),
                box.width() * page.width(),
                box.height() * page.height());
    }

    /** Where a spot of the earlier page is on the later one: both in fractions of their page, 0 to 1. */
    public Place.Spot across(double x, double y) {
        Box there = on(afterAt, from(beforeAt, new Box(x, y, 0, 0)));
        return new Place.Spot(within(there.x()), within(there.y()));
    }

    private static double within(double fraction) {
        return Math.min(1, Math.max(0, fraction));
    }
}
