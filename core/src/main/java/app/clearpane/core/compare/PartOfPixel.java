package app.clearpane.core.compare;

import app.clearpane.core.compare.AreaMean.Grey;

/**
 * By what part of a pixel one picture is moved against another that already lies on it to a pixel.
 *
 * <p><b>Algorithm.</b> The shift that leaves the least between both, each moved by half of it: Gauss-Newton on what is
 * left and on the slopes of both (Lucas and Kanade, 1981; Benhimane and Malis, 2004), where what is left much counts
 * little, since that is a change and no shift.
 */
final class PartOfPixel {
    private static final int STEPS = 12;
    private static final double ENOUGH = 0.002;
    private static final double FARTHEST = 1.5;
    private static final int MARGIN = 4;
    /** What is left of this, of 255, counts half. */
    private static final double MUCH = 12;

    private PartOfPixel() {}

    /** By how many pixels the second one's content lies further right and down. */
    record Shift(double dx, double dy) {
        Shift plus(double x, double y) {
            return new Shift(dx + x, dy + y);
        }
    }

    /**
     * The shift between two pictures of one size, at most one and a half pixels in either direction; none if there is
     * too little to see.
     */
    static Shift between(Grey a, Grey b) {
        Grey first = softened(a);
        Grey second = softened(b);
        double dx = 0;
        double dy = 0;
        for (int step = 0; step < STEPS; step++) {
            double[] by = step(first, second, dx, dy);
            dx += by[0];
            dy += by[1];
            if (Math.abs(dx) > FARTHEST || Math.abs(dy) > FARTHEST) {
                return new Shift(0, 0);
            }
            if (Math.hypot(by[0], by[1]) < ENOUGH) {
                break;
            }
        }
        return new Shift(dx, dy);
    }

    private static double[] step(Grey a, Grey b, double dx, double dy) {
        Grey first = moved(a, -dx / 2, -dy / 2);
        Grey second = moved(b, dx / 2, dy / 2);
        int width = a.width();
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xr = 0;
        double yr = 0;
        for (int y = MARGIN; y < a.height() - MARGIN; y++) {
            for (int x = MARGIN; x < width - MARGIN; x++) {
                int at = y * width + x;
                double left = second.light()[at] - first.light()[at];
                double alongX = (first.light()[at + 1]
                                - first.light()[at - 1]
                                + second.light()[at + 1]
                                - second.light()[at - 1])
                        / 4;
                double alongY = (first.light()[at + width]
                                - first.light()[at - width]
                                + second.light()[at + width]
                                - second.light()[at - width])
                        / 4;
                double weight = 1 / (1 + left * left / (MUCH * MUCH));
                xx += weight * alongX * alongX;
                xy += weight * alongX * alongY;
                yy += weight * alongY * alongY;
                xr += weight * alongX * left;
                yr += weight * alongY * left;
            }
        }
        double determinant = xx * yy - xy * xy;
        if (determinant <= 1e-6 * (xx + yy) * (xx + yy) || determinant <= 0) {
            return new double[] {xx > yy && xx > 0 ? -xr / xx : 0, yy >= xx && yy > 0 ? -yr / yy : 0};
        }
        return new double[] {-(yy * xr - xy * yr) / determinant, -(xx * yr - xy * xr) / determinant};
    }

    /** The picture read a little further right and down, cubically. */
    private static Grey moved(Grey picture, double right, double down) {
        return along(along(picture, right, 1, picture.width()), down, picture.width(), picture.height());
    }

    private static Grey along(Grey picture, double by, int step, int length) {
        if (by == 0) {
            return picture;
        }
        int whole = (int) Math.floor(by);
        float[] weights = Moved.weights(by - whole);
        float[] result = new float[picture.light().length];
        for (int at = 0; at < result.length; at++) {
            int place = at / step % length;
            float sum = 0;
            for (int tap = -1; tap <= 2; tap++) {
                sum += weights[tap + 1]
                        * picture.light()[at + step * (Math.max(0, Math.min(length - 1, place + whole + tap)) - place)];
            }
            result[at] = sum;
        }
        return new Grey(picture.width(), picture.height(), result);
    }

    /**
     * Each pixel with its neighbours, 1 2 1 along the rows and the columns: what is finer than two pixels says nothing
     * of a part of one.
     */
    private static Grey softened(Grey picture) {
        return softened(softened(picture, 1, picture.width()), picture.width(), picture.height());
    }

    private static Grey softened(Grey picture, int step, int length) {
        float[] result = new float[picture.light().length];
        for (int at = 0; at < result.length; at++) {
            int place = at / step % length;
            float before = picture.light()[place == 0 ? at : at - step];
            float after = picture.light()[place == length - 1 ? at : at + step];
            result[at] = (before + 2 * picture.light()[at] + after) / 4;
        }
        return new Grey(picture.width(), picture.height(), result);
    }
}
