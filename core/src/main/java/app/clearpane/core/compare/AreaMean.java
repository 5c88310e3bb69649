package app.clearpane.core.compare;

/**
 * Makes pictures smaller: each new pixel is the mean of the area it covers, edges counted by the part that is covered.
 */
final class AreaMean {
    private AreaMean() {}

    /** The picture at this width, which is not above its own; its height keeps the ratio. */
    static Raster of(Raster picture, int width) {
        int height = Math.max(1, (int) Math.round((double) picture.height() * width / picture.width()));
        int[] result = new int[width * height];
        double[] wide = new double[width * 3];
        for (int y = 0; y < height; y++) {
            double top = (double) y * picture.height() / height;
            double bottom = (double) (y + 1) * picture.height() / height;
            java.util.Arrays.fill(wide, 0);
            for (int row = (int) top; row < Math.min(picture.height(), Math.ceil(bottom)); row++) {
                addRow(picture, row, Math.min(bottom, row + 1) - Math.max(top, row), wide, width);
            }
            double area = (bottom - top) * picture.width() / width;
            for (int x = 0; x < width; x++) {
                result[y * width + x] = colour(wide, x * 3, area);
            }
        }
        return new Raster(width, height, result, picture.coloursHalved());
    }

    private static void addRow(Raster picture, int row, double share, double[] sums, int width) {
        double step = (double) picture.width() / width;
        for (int x = 0; x < width; x++) {
            double left = x * step;
            double right = Math.min(picture.width(), (x + 1) * step);
            for (int at = (int) left; at < right; at++) {
                double weight = share * (Math.min(right, at + 1) - Math.max(left, at));
                int rgb = picture.at(at, row);
                sums[x * 3] += weight * (rgb >> 16 & 255);
                sums[x * 3 + 1] += weight * (rgb >> 8 & 255);
                sums[x * 3 + 2] += weight * (rgb & 255);
            }
        }
    }

    private static int colour(double[] sums, int at, double area) {
        return (int) Math.round(sums[at] / area) << 16
                | (int) Math.round(sums[at + 1] / area) << 8
                | (int) Math.round(sums[at + 2] / area);
    }

    /**
     * How light a picture is, as the mean over whole blocks of pixels.
     *
     * @param block the side of a block in pixels, 1 or more; what is left over at the right and at the foot is left out
     */
    static Grey grey(Raster picture, int block) {
        int width = Math.max(1, picture.width() / block);
        int height = Math.max(1, picture.height() / block);
        float[] light = new float[width * height];
        int[] sums = new int[width];
        int across = Math.min(block, picture.width());
        int down = Math.min(block, picture.height());
        for (int y = 0; y < height; y++) {
            java.util.Arrays.fill(sums, 0);
            for (int row = y * block; row < y * block + down; row++) {
                addLight(picture, row * picture.width(), across, sums);
            }
            for (int x = 0; x < width; x++) {
                light[y * width + x] = sums[x] / (256f * across * down);
            }
        }
        return new Grey(width, height, light);
    }

    private static void addLight(Raster picture, int from, int across, int[] sums) {
        int[] rgb = picture.rgb();
        int at = from;
        for (int x = 0; x < sums.length; x++) {
            int sum = 0;
            for (int i = 0; i < across; i++) {
                sum += light(rgb[at++]);
            }
            sums[x] += sum;
        }
    }

    /** How light a colour is, from 0 to 255 · 256. */
    static int light(int rgb) {
        return 77 * (rgb >> 16 & 255) + 150 * (rgb >> 8 & 255) + 29 * (rgb & 255);
    }

    /** A picture in shades of grey, 0 to 255, row by row. */
    record Grey(int width, int height, float[] light) {}
}
