package app.clearpane.core.compare;

import java.util.Arrays;

/**
 * Which pixels differ to the eye (C3).
 *
 * <p><b>Algorithm.</b> Colours are brought to linear light, lifted by a little flare ({@code (c + 0.005) / 1.005}) so
 * that darks count as the eye sees them, averaged over 3 × 3 pixels and taken to OKLab (Ottosson, 2020); a distance
 * above the tolerance counts. Pixels that differ only because an edge is smoothed differently do not: those between a
 * darker and a lighter neighbour, of which one lies in an even area, in both pictures (after Vyšniauskas, 2009). Means
 * are taken only where, among the 3 × 3 pixels, raw colours differ by more than that.
 */
final class PixelDifference {
    /** How far around a pixel its range of colours is taken. */
    private static final int AROUND = 2;

    private static final float[] LINEAR = new float[256];
    /** How much lighter or darker a neighbour must be to make an edge, of 255 · 256. */
    private static final int EDGE = 256 * 3;
    /** What two pixels hardly differ by, of 255 · 256. */
    private static final int HARDLY = 256 * 40;

    static {
        for (int i = 0; i < 256; i++) {
            LINEAR[i] = (float) ((Oklab.linear(i) + 0.005) / 1.005);
        }
    }

    private final Raster a;
    private final Raster b;
    private final int dx;
    private final int dy;
    private final Tolerance tolerance;
    private final boolean ranged;

    /**
     * Lays the second picture on the first.
     *
     * @param dx by how many pixels the second lies further right
     * @param dy by how many further down
     */
    PixelDifference(Raster a, Raster b, int dx, int dy, Tolerance tolerance) {
        this.a = a;
        this.b = b;
        this.dx = dx;
        this.dy = dy;
        this.tolerance = tolerance;
        this.ranged = tolerance.ofRange > 0 || tolerance.ofHues > 0;
    }

    /**
     * The distance in OKLab up to which colours are the same.
     *
     * @param everywhere at least
     * @param ofRange what part of the range of colours around a pixel, in 5 × 5 and in either picture, is allowed
     *     besides
     * @param ofHues the same of the range of hues, whichever is more
     */
    record Tolerance(double everywhere, double ofRange, double ofHues) {}

    /** The pixels of the first picture that differ, where both are. */
    Bits differing() {
        Bits raw = raw();
        Bits result = new Bits(a.width(), a.height());
        long[] wanted = new long[raw.words()];
        for (int y = top(); y < bottom(); y++) {
            if (raw.around(y, wanted)) {
                row(y, wanted, result);
            }
        }
        return result;
    }

    private int top() {
        return Math.max(0, -dy);
    }

    private int bottom() {
        return Math.min(a.height(), b.height() - dy);
    }

    private int left() {
        return Math.max(0, -dx);
    }

    private int right() {
        return Math.min(a.width(), b.width() - dx);
    }

    /** The pixels whose raw colours differ by more than how an edge is smoothed. */
    private Bits raw() {
        Bits bits = new Bits(a.width(), a.height());
        for (int y = top(); y < bottom(); y++) {
            int from = y * a.width();
            int other = (y + dy) * b.width() + dx;
            int end = right();
            int x = left();
            while (x < end) {
                int same = Arrays.mismatch(a.rgb(), from + x, from + end, b.rgb(), other + x, other + end);
                if (same < 0) {
                    break;
                }
                x += same;
                for (; x < end && a.rgb()[from + x] != b.rgb()[other + x]; x++) {
                    if (!onlySmoothed(x, y)) {
                        bits.set(x, y);
                    }
                }
            }
        }
        return bits;
    }

    /**
     * Whether a pixel smooths an edge in both pictures; in one is enough where they hardly differ, since an edge may
     * end at a pixel's.
     */
    private boolean onlySmoothed(int x, int y) {
        boolean first = smoothed(a, x, y);
        boolean second = smoothed(b, x + dx, y + dy);
        return first && second
                || (first || second)
                        && Math.abs(AreaMean.light(a.at(x, y)) - AreaMean.light(b.at(x + dx, y + dy))) < HARDLY;
    }

    private void row(int y, long[] wanted, Bits result) {
        for (int word = 0; word < wanted.length; word++) {
            for (long left = wanted[word]; left != 0; left &= left - 1) {
                int x = word * 64 + Long.numberOfTrailingZeros(left);
                if (x >= left() && x < right() && differs(x, y)) {
                    result.set(x, y);
                }
            }
        }
    }

    /** Whether the means around a pixel are further apart than the tolerance. */
    private boolean differs(int x, int y) {
        float r1 = 0;
        float g1 = 0;
        float b1 = 0;
        float r2 = 0;
        float g2 = 0;
        float b2 = 0;
        for (int j = -1; j <= 1; j++) {
            int row = Math.max(top(), Math.min(bottom() - 1, y + j));
            int first = row * a.width();
            int second = (row + dy) * b.width() + dx;
            for (int i = -1; i <= 1; i++) {
                int column = Math.max(left(), Math.min(right() - 1, x + i));
                int p = a.rgb()[first + column];
                int q = b.rgb()[second + column];
                r1 += LINEAR[p >> 16 & 255];
                g1 += LINEAR[p >> 8 & 255];
                b1 += LINEAR[p & 255];
                r2 += LINEAR[q >> 16 & 255];
                g2 += LINEAR[q >> 8 & 255];
                b2 += LINEAR[q & 255];
            }
        }
        double distance = Oklab.distance(r1 / 9, g1 / 9, b1 / 9, r2 / 9, g2 / 9, b2 / 9);
        return distance > tolerance.everywhere
                && (!ranged || distance > tolerance.everywhere + Math.max(ranges(a, x, y), ranges(b, x + dx, y + dy)));
    }

    /** What the range of colours around a pixel allows. */
    private double ranges(Raster picture, int x, int y) {
        float[] lab = new float[3];
        float[] least = {9, 9, 9};
        float[] most = {-9, -9, -9};
        for (int row = Math.max(0, y - AROUND); row <= Math.min(picture.height() - 1, y + AROUND); row++) {
            for (int column = Math.max(0, x - AROUND); column <= Math.min(picture.width() - 1, x + AROUND); column++) {
                int rgb = picture.at(column, row);
                Oklab.of(LINEAR[rgb >> 16 & 255], LINEAR[rgb >> 8 & 255], LINEAR[rgb & 255], lab);
                for (int i = 0; i < 3; i++) {
                    least[i] = Math.min(least[i], lab[i]);
                    most[i] = Math.max(most[i], lab[i]);
                }
            }
        }
        double hues = Math.hypot(most[1] - least[1], most[2] - least[2]);
        return Math.max(tolerance.ofRange * Math.hypot(hues, most[0] - least[0]), tolerance.ofHues * hues);
    }

    /**
     * Whether a pixel smooths an edge: it has a darker and a lighter neighbour, and one of the two lies in an even
     * area.
     */
    private static boolean smoothed(Raster picture, int x, int y) {
        int here = AreaMean.light(picture.at(x, y));
        int darkest = 0;
        int lightest = 0;
        int dark = -1;
        int light = -1;
        int even = 0;
        for (int row = Math.max(0, y - 1); row <= Math.min(picture.height() - 1, y + 1); row++) {
            for (int column = Math.max(0, x - 1); column <= Math.min(picture.width() - 1, x + 1); column++) {
                int against = AreaMean.light(picture.at(column, row)) - here;
                even += Math.abs(against) < EDGE ? 1 : 0;
                if (against < darkest) {
                    darkest = against;
                    dark = row * picture.width() + column;
                }
                if (against > lightest) {
                    lightest = against;
                    light = row * picture.width() + column;
                }
            }
        }
        return even <= 4
                && darkest <= -EDGE
                && lightest >= EDGE
                && (inEvenArea(picture, dark) || inEvenArea(picture, light));
    }

    private static boolean inEvenArea(Raster picture, int at) {
        int x = at % picture.width();
        int y = at / picture.width();
        int here = AreaMean.light(picture.rgb()[at]);
        int even = 0;
        for (int row = Math.max(0, y - 1); row <= Math.min(picture.height() - 1, y + 1); row++) {
            for (int column = Math.max(0, x - 1); column <= Math.min(picture.width() - 1, x + 1); column++) {
                even += Math.abs(AreaMean.light(picture.at(column, row)) - here) < EDGE ? 1 : 0;
            }
        }
        return even > 3;
    }
}
