package app.clearpane.core.compare;

import app.clearpane.core.compare.AreaMean.Grey;
import org.jtransforms.fft.FloatFFT_2D;
import pl.edu.icm.jlargearrays.ConcurrencyUtils;

/**
 * By how much one picture is moved against another, from the phases of their spectra (Kuglin and Hines, 1975).
 *
 * <p><b>Algorithm.</b> Both are cut out with a soft edge, transformed together as one complex picture, and what is
 * common to their spectra is brought to length 1: its transform back has its peak at the shift. A parabola through the
 * peak and its neighbours gives parts of a pixel.
 */
final class PhaseCorrelation {
    static {
        ConcurrencyUtils.setNumberOfThreads(1);
    }

    /** How far the spectrum is let through, in periods per pixel: what is finer is mostly noise and edges. */
    private static final double SOFT = 0.22;

    private PhaseCorrelation() {}

    /**
     * A shift and how clear it is.
     *
     * @param dx by how many pixels the second picture's content lies further right
     * @param dy by how many further down
     * @param peak how clear it is: near 1 when one is the other moved, near 0 when they have nothing in common
     */
    record Found(double dx, double dy, double peak) {}

    /** Which shifts are looked for: none further than these, in pixels, each 0 or more. */
    record Reach(int left, int right, int up, int down) {
        static Reach of(int farthest) {
            return new Reach(farthest, farthest, farthest, farthest);
        }
    }

    /**
     * The shift between two pictures, which need not be of one size: their top left corners lie on each other when it
     * is 0.
     */
    static Found between(Grey a, Grey b, Reach reach) {
        int width = powerOfTwo(Math.max(a.width(), b.width()));
        int height = powerOfTwo(Math.max(a.height(), b.height()));
        FloatFFT_2D fourier = new FloatFFT_2D(height, width);
        float[] both = packed(windowed(a, width, height), windowed(b, width, height));
        fourier.complexForward(both);
        double whole = crossPower(both, width, height);
        fourier.complexInverse(both, false);
        return peak(realPartOf(both), width, height, reach, whole);
    }

    /** Two pictures as the real and the imaginary parts of complex numbers. */
    private static float[] packed(float[] real, float[] imaginary) {
        float[] both = new float[2 * real.length];
        for (int i = 0; i < real.length; i++) {
            both[2 * i] = real[i];
            both[2 * i + 1] = imaginary[i];
        }
        return both;
    }

    private static float[] realPartOf(float[] both) {
        float[] real = new float[both.length / 2];
        for (int i = 0; i < real.length; i++) {
            real[i] = both[2 * i];
        }
        return real;
    }

    private static int powerOfTwo(int least) {
        return Math.max(2, Integer.highestOneBit(Math.max(1, least - 1)) << 1);
    }

    private static float[] windowed(Grey picture, int width, int height) {
        float[] result = new float[width * height];
        double mean = 0;
        for (float light : picture.light()) {
            mean += light;
        }
        mean /= picture.light().length;
        double[] across = window(picture.width());
        double[] down = window(picture.height());
        for (int y = 0; y < picture.height(); y++) {
            for (int x = 0; x < picture.width(); x++) {
                result[y * width + x] =
                        (float) ((picture.light()[y * picture.width() + x] - mean) * across[x] * down[y]);
            }
        }
        return result;
    }

    /** Flat in the middle, falling to 0 over an eighth at either end, so that content near the edges still counts. */
    private static double[] window(int length) {
        double[] result = new double[length];
        double slope = Math.max(1, length / 8.0);
        for (int i = 0; i < length; i++) {
            double fromEdge = Math.min(i + 0.5, length - i - 0.5) / slope;
            result[i] = fromEdge >= 1 ? 1 : 0.5 - 0.5 * Math.cos(Math.PI * fromEdge);
        }
        return result;
    }

    /**
     * Parts the two spectra, which are packed in one, and leaves their cross power spectrum. @return the height a
     * perfect peak would have
     */
    private static double crossPower(float[] both, int width, int height) {
        float[] spectra = both.clone();
        double whole = 0;
        for (int v = 0; v < height; v++) {
            for (int u = 0; u < width; u++) {
                int at = 2 * (v * width + u);
                int mirrored = 2 * ((height - v & height - 1) * width + (width - u & width - 1));
                double aRe = (spectra[at] + spectra[mirrored]) / 2.0;
                double aIm = (spectra[at + 1] - spectra[mirrored + 1]) / 2.0;
                double bRe = (spectra[at + 1] + spectra[mirrored + 1]) / 2.0;
                double bIm = (spectra[mirrored] - spectra[at]) / 2.0;
                double crossRe = bRe * aRe + bIm * aIm;
                double crossIm = bIm * aRe - bRe * aIm;
                double length = Math.hypot(crossRe, crossIm);
                double weight = length > 1e-3 && at != 0 ? soft(u, width) * soft(v, height) / length : 0;
                both[at] = (float) (crossRe * weight);
                both[at + 1] = (float) (crossIm * weight);
                whole += length * weight;
            }
        }
        return whole;
    }

    private static double soft(int frequency, int length) {
        double periods = Math.min(frequency, length - frequency) / (double) length;
        return Math.exp(-periods * periods / (2 * SOFT * SOFT));
    }

    private static Found peak(float[] surface, int width, int height, Reach reach, double whole) {
        if (whole <= 0) {
            return new Found(0, 0, 0);
        }
        int bestX = 0;
        int bestY = 0;
        int up = Math.min(reach.up, height / 2 - 1);
        int left = Math.min(reach.left, width / 2 - 1);
        for (int y = -up; y <= Math.min(reach.down, height - 1 - up); y++) {
            for (int x = -left; x <= Math.min(reach.right, width - 1 - left); x++) {
                if (at(surface, width, height, x, y) > at(surface, width, height, bestX, bestY)) {
                    bestX = x;
                    bestY = y;
                }
            }
        }
        float top = at(surface, width, height, bestX, bestY);
        double dx = bestX
                + vertex(
                        at(surface, width, height, bestX - 1, bestY),
                        top,
                        at(surface, width, height, bestX + 1, bestY));
        double dy = bestY
                + vertex(
                        at(surface, width, height, bestX, bestY - 1),
                        top,
                        at(surface, width, height, bestX, bestY + 1));
        return new Found(dx, dy, top / whole);
    }

    private static float at(float[] surface, int width, int height, int x, int y) {
        return surface[(y & height - 1) * width + (x & width - 1)];
    }

    /** Where a parabola through three heights one apart has its top, from the middle one. */
    private static double vertex(double before, double top, double after) {
        double bend = before - 2 * top + after;
        return bend >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend)));
    }
}
