package app.clearpane.core.compare;

/**
 * Moves a picture by a part of a pixel.
 *
 * <p><b>Algorithm.</b> Cubic convolution with a = -1/2 (Keys, 1981), along the rows and then along the columns; the
 * pixels at the edges go on beyond them.
 */
final class Moved {
    private static final int TAPS = 4;

    private Moved() {}

    /**
     * The picture with its content a little further on.
     *
     * @param dx how much further right it lies, in pixels
     * @param dy how much further down
     */
    static Raster by(Raster picture, double dx, double dy) {
        Raster across = dx == 0 ? picture : along(picture, dx, true);
        return dy == 0 ? across : along(across, dy, false);
    }

    private static Raster along(Raster picture, double by, boolean rows) {
        int whole = (int) Math.floor(-by);
        float[] weights = weights(-by - whole);
        int width = picture.width();
        int height = picture.height();
        int[] from = picture.rgb();
        int[] result = new int[from.length];
        int length = rows ? width : height;
        int step = rows ? 1 : width;
        int[] at = new int[TAPS];
        for (int line = 0; line < (rows ? height : width); line++) {
            int start = rows ? line * width : line;
            for (int i = 0; i < length; i++) {
                for (int tap = 0; tap < TAPS; tap++) {
                    at[tap] = from[start + step * Math.max(0, Math.min(length - 1, i + whole + tap - 1))];
                }
                result[start + step * i] = mixed(at, weights);
            }
        }
        return new Raster(width, height, result, picture.coloursHalved());
    }

    private static int mixed(int[] at, float[] weights) {
        int result = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            float sum = 0.5f;
            for (int tap = 0; tap < TAPS; tap++) {
                sum += weights[tap] * (at[tap] >> shift & 255);
            }
            result |= Math.max(0, Math.min(255, (int) Math.floor(sum))) << shift;
        }
        return result;
    }

    /** What each of four neighbours counts at a part of the way from the second to the third. @param part 0 to 1 */
    static float[] weights(double part) {
        double p = part;
        return new float[] {
            (float) (p * (-0.5 + p * (1 - 0.5 * p))),
            (float) (1 + p * p * (-2.5 + 1.5 * p)),
            (float) (p * (0.5 + p * (2 - 1.5 * p))),
            (float) (p * p * (-0.5 + 0.5 * p))
        };
    }
}
