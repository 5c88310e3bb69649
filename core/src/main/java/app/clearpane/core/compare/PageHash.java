package app.clearpane.core.compare;

import app.clearpane.core.compare.AreaMean.Grey;

/**
 * A page in 256 bits by which pages are matched (C2): on a picture of 17 × 16 shades, whether each is lighter than its
 * right neighbour (difference hash, dHash).
 */
public record PageHash(long one, long two, long three, long four) {
    private static final int COLUMNS = 17;
    private static final int ROWS = 16;

    /** Hashes a page. */
    public static PageHash of(Raster page) {
        Raster small = stretched(page);
        long[] bits = new long[4];
        for (int y = 0; y < ROWS; y++) {
            for (int x = 0; x < COLUMNS - 1; x++) {
                int at = y * (COLUMNS - 1) + x;
                if (AreaMean.light(small.at(x, y)) > AreaMean.light(small.at(x + 1, y)) + 256) {
                    bits[at >> 6] |= 1L << (at & 63);
                }
            }
        }
        return new PageHash(bits[0], bits[1], bits[2], bits[3]);
    }

    /** In how many of the 256 bits two pages differ. */
    public int distance(PageHash other) {
        return Long.bitCount(one ^ other.one)
                + Long.bitCount(two ^ other.two)
                + Long.bitCount(three ^ other.three)
                + Long.bitCount(four ^ other.four);
    }

    /** 17 × 16 pixels whatever the page's ratio, each the mean of what it covers. */
    private static Raster stretched(Raster page) {
        int block = Math.max(1, Math.min(page.width() / 340, page.height() / 320));
        Grey grey = AreaMean.grey(page, block);
        int[] result = new int[COLUMNS * ROWS];
        for (int y = 0; y < ROWS; y++) {
            for (int x = 0; x < COLUMNS; x++) {
                int shade = Math.round(mean(
                        grey,
                        (double) x / COLUMNS,
                        (double) y / ROWS,
                        (double) (x + 1) / COLUMNS,
                        (double) (y + 1) / ROWS));
                result[y * COLUMNS + x] = shade << 16 | shade << 8 | shade;
            }
        }
        return new Raster(COLUMNS, ROWS, result);
    }

    private static float mean(Grey grey, double left, double top, double right, double bottom) {
        double sum = 0;
        double area = 0;
        for (int y = (int) (top * grey.height()); y < Math.ceil(bottom * grey.height()); y++) {
            double down = Math.min(bottom * grey.height(), y + 1) - Math.max(top * grey.height(), y);
            for (int x = (int) (left * grey.width()); x < Math.ceil(right * grey.width()); x++) {
                double part = down * (Math.min(right * grey.width(), x + 1) - Math.max(left * grey.width(), x));
                sum += part
                        * grey.light()[Math.min(grey.height() - 1, y) * grey.width() + Math.min(grey.width() - 1, x)];
                area += part;
            }
        }
        return (float) (sum / area);
    }
}
