package app.clearpane.core.compare;

import app.clearpane.core.compare.AreaMean.Grey;
import app.clearpane.core.compare.PhaseCorrelation.Found;
import app.clearpane.core.compare.PhaseCorrelation.Reach;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * How two pictures lie on each other (C1): how one became the size of the other, and by how much the second one's
 * content is moved.
 *
 * <p><b>Algorithm.</b> The shift is estimated on a small picture of how light both are (phase correlation), then on
 * cuts of the pictures themselves where there is most to see, and then to a part of a pixel by what is left between
 * those ({@link PartOfPixel}). It is kept only if the pictures agree clearly better with it than without: content that
 * moved on a page whose rest stands still is a change, not a shift.
 *
 * @param before the earlier picture at the working size
 * @param after the later one at the working size
 * @param size how one became the size of the other
 * @param dx by how many pixels the later content lies further right, in twentieths
 * @param dy by how many further down
 * @param aligned false if they have too little in common to say how they lie on each other
 */
public record Registration(Raster before, Raster after, Size size, double dx, double dy, boolean aligned) {
    private static final int SMALL_WIDTH = 256;
    private static final int SIDE = 256;
    private static final int CUTS = 5;
    /** The largest shift, in widths. */
    private static final double FARTHEST = 0.05;
    /** The peak under which two pictures have nothing in common. */
    private static final double WEAK = 0.1;
    /** The mean difference under which pictures agree as they are, of 255. */
    private static final double AGREE = 6;
    /** How much better they must agree with a shift than without. */
    private static final double CLEARLY = 0.75;
    /** The same for less than a pixel, of which nothing on a page moves by itself. */
    private static final double AT_ALL = 0.97;
    /** Shifts are said in so many parts of a pixel. */
    private static final double PARTS = 20;

    /** How a picture became the size of another. */
    public enum Size {
        /** It is of that size. */
        SAME,
        /** It was made larger or smaller with all that is on it. */
        SCALED,
        /** It was cut or extended; what is on it has the size it had. */
        CUT
    }

    /**
     * The ways in which one picture may lie on the other: one if they are of one size or one width, else two, scaled
     * and cut.
     */
    public static List<Registration> readings(Raster before, Raster after) {
        if (before.width() == after.width()) {
            return List.of(of(before, after, before.height() == after.height() ? Size.SAME : Size.CUT));
        }
        int width = Math.min(before.width(), after.width());
        return List.of(of(before.narrowedTo(width), after.narrowedTo(width), Size.SCALED), of(before, after, Size.CUT));
    }

    /** Lays one picture on another. The same pictures the other way round give the same shift the other way round. */
    static Registration of(Raster a, Raster b, Size size) {
        boolean turned = a.width() != b.width() ? a.width() > b.width() : Arrays.compare(a.rgb(), b.rgb()) > 0;
        Shift shift = turned ? shift(b, a).back() : shift(a, b);
        return new Registration(a, b, size, shift.dx, shift.dy, shift.aligned);
    }

    private record Shift(double dx, double dy, boolean aligned) {
        Shift back() {
            return new Shift(0 - dx, 0 - dy, aligned);
        }
    }

    private static Shift shift(Raster a, Raster b) {
        if (a.samePixels(b)) {
            return new Shift(0, 0, true);
        }
        int block = Math.max(1, Math.round(Math.min(a.width(), b.width()) / (float) SMALL_WIDTH));
        Grey small = AreaMean.grey(a, block);
        Reach reach = reach(a, b);
        Found coarse = PhaseCorrelation.between(
                small,
                AreaMean.grey(b, block),
                new Reach(
                        up(reach.left(), block),
                        up(reach.right(), block),
                        up(reach.up(), block),
                        up(reach.down(), block)));
        double still = difference(a, b, 0, 0);
        if (coarse.peak() < WEAK) {
            return new Shift(0, 0, still < AGREE);
        }
        Shift fine = refined(
                a, b, small, block, (int) Math.round(coarse.dx() * block), (int) Math.round(coarse.dy() * block));
        boolean near = fine.dx >= -reach.left()
                && fine.dx <= reach.right()
                && fine.dy >= -reach.up()
                && fine.dy <= reach.down();
        double better = Math.hypot(fine.dx, fine.dy) < 1 ? AT_ALL : CLEARLY;
        return near && difference(a, b, fine.dx, fine.dy) < better * still ? fine : new Shift(0, 0, true);
    }

    /** A part of the width, and as much more as one is larger than the other. */
    private static Reach reach(Raster a, Raster b) {
        int far = (int) Math.ceil(FARTHEST * Math.min(a.width(), b.width()));
        return new Reach(
                far + Math.max(0, a.width() - b.width()),
                far + Math.max(0, b.width() - a.width()),
                far + Math.max(0, a.height() - b.height()),
                far + Math.max(0, b.height() - a.height()));
    }

    private static int up(int pixels, int block) {
        return (pixels + block - 1) / block;
    }

    /** The middle one of what a few cuts say, each moved by the estimate first. */
    private static Shift refined(Raster a, Raster b, Grey small, int block, int dx, int dy) {
        List<PartOfPixel.Shift> all = new ArrayList<>();
        for (Corner at : mostToSee(small, block, a, b, dx, dy)) {
            Grey first = cut(a, at.x, at.y, at.side);
            Grey there = cut(b, at.x + dx, at.y + dy, at.side);
            if (Arrays.equals(first.light(), there.light())) {
                all.add(new PartOfPixel.Shift(dx, dy));
                continue;
            }
            Found found = PhaseCorrelation.between(first, there, Reach.of(Math.min(SIDE / 4, 2 * block + 2)));
            if (found.peak() >= WEAK) {
                int x = dx + (int) Math.rint(found.dx());
                int y = dy + (int) Math.rint(found.dy());
                Grey second = cut(
                        b,
                        Math.max(0, Math.min(b.width() - at.side, at.x + x)),
                        Math.max(0, Math.min(b.height() - at.side, at.y + y)),
                        at.side);
                boolean whole = at.x + x >= 0
                        && at.x + x + at.side <= b.width()
                        && at.y + y >= 0
                        && at.y + y + at.side <= b.height();
                all.add(
                        whole
                                ? PartOfPixel.between(first, second).plus(x, y)
                                : new PartOfPixel.Shift(dx + found.dx(), dy + found.dy()));
            }
        }
        if (all.isEmpty()) {
            return new Shift(dx, dy, true);
        }
        return new Shift(
                inParts(middle(all, Comparator.comparingDouble(PartOfPixel.Shift::dx))
                        .dx()),
                inParts(middle(all, Comparator.comparingDouble(PartOfPixel.Shift::dy))
                        .dy()),
                true);
    }

    private static PartOfPixel.Shift middle(List<PartOfPixel.Shift> all, Comparator<PartOfPixel.Shift> order) {
        return all.stream().sorted(order).skip((all.size() - 1) / 2).findFirst().orElseThrow();
    }

    private static double inParts(double pixels) {
        return Math.rint(pixels * PARTS) / PARTS;
    }

    private record Corner(int x, int y, int side) {}

    /** The cuts with the strongest edges that lie on both pictures when one is moved. */
    private static List<Corner> mostToSee(Grey small, int block, Raster a, Raster b, int dx, int dy) {
        int side = Math.min(SIDE, Math.min(Math.min(a.width(), b.width()), Math.min(a.height(), b.height())));
        record Weighed(Corner corner, double edges) {}
        List<Weighed> cuts = new ArrayList<>();
        for (int y = Math.max(0, -dy); y + side <= Math.min(a.height(), b.height() - dy); y += side) {
            for (int x = Math.max(0, -dx); x + side <= Math.min(a.width(), b.width() - dx); x += side) {
                cuts.add(new Weighed(new Corner(x, y, side), edges(small, x / block, y / block, side / block)));
            }
        }
        return cuts.stream()
                .sorted(Comparator.comparingDouble(Weighed::edges).reversed())
                .limit(CUTS)
                .map(Weighed::corner)
                .toList();
    }

    private static double edges(Grey picture, int left, int top, int side) {
        double sum = 0;
        for (int y = top + 1; y < Math.min(picture.height(), top + side); y++) {
            for (int x = left + 1; x < Math.min(picture.width(), left + side); x++) {
                float here = picture.light()[y * picture.width() + x];
                sum += Math.abs(here - picture.light()[y * picture.width() + x - 1])
                        + Math.abs(here - picture.light()[(y - 1) * picture.width() + x]);
            }
        }
        return sum;
    }

    private static Grey cut(Raster picture, int left, int top, int side) {
        float[] light = new float[side * side];
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                light[y * side + x] = AreaMean.light(picture.at(left + x, top + y)) / 256f;
            }
        }
        return new Grey(side, side, light);
    }

    /**
     * The mean difference in lightness, of 255, over every third pixel of every third row where both are, each moved by
     * half.
     */
    private static double difference(Raster a, Raster b, double dx, double dy) {
        Halves x = Halves.of(dx);
        Halves y = Halves.of(dy);
        double sum = 0;
        long count = 0;
        for (int row = Math.max(0, -y.whole); row < Math.min(a.height(), b.height() - y.whole); row += 3) {
            for (int column = Math.max(0, -x.whole); column < Math.min(a.width(), b.width() - x.whole); column += 3) {
                sum += Math.abs(light(a, column, row, -x.rest / 2, -y.rest / 2)
                        - light(b, column + x.whole, row + y.whole, x.rest / 2, y.rest / 2));
                count++;
            }
        }
        return count == 0 ? 255 : sum / 256.0 / count;
    }

    /** How light a picture is a part of a pixel away from a pixel, of 255 · 256. */
    private static double light(Raster picture, int x, int y, double right, double down) {
        int here = AreaMean.light(picture.at(x, y));
        if (right == 0 && down == 0) {
            return here;
        }
        int across =
                AreaMean.light(picture.at(Math.max(0, Math.min(picture.width() - 1, x + (int) Math.signum(right))), y));
        int below =
                AreaMean.light(picture.at(x, Math.max(0, Math.min(picture.height() - 1, y + (int) Math.signum(down)))));
        return here + (across - here) * Math.abs(right) + (below - here) * Math.abs(down);
    }

    /** A shift as whole pixels and the rest of at most half a pixel, which is 0 in most cases. */
    record Halves(int whole, double rest) {
        static Halves of(double pixels) {
            int whole = (int) Math.rint(pixels);
            return new Halves(whole, pixels - whole);
        }
    }
}
