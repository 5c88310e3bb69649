package app.clearpane.core.compare;

/**
 * The discrete Fourier transform in two dimensions, in place, for sides that are powers of two (Cooley and Tukey, radix
 * 2).
 */
final class Fourier {
    private final int width;
    private final int height;
    private final float[] cosines;
    private final float[] sines;
    private final int longest;

    Fourier(int width, int height) {
        if (Integer.bitCount(width) != 1 || Integer.bitCount(height) != 1) {
            throw new IllegalArgumentException("sides are powers of two, got " + width + " × " + height);
        }
        this.width = width;
        this.height = height;
        longest = Math.max(width, height);
        cosines = new float[longest / 2 + 1];
        sines = new float[longest / 2 + 1];
        for (int i = 0; i < cosines.length; i++) {
            cosines[i] = (float) Math.cos(2 * Math.PI * i / longest);
            sines[i] = (float) Math.sin(2 * Math.PI * i / longest);
        }
    }

    /** Transforms forward: {@code exp(-2πi…)}, without a factor. */
    void forward(float[] real, float[] imaginary) {
        both(real, imaginary, -1);
    }

    /** Transforms back: {@code exp(+2πi…)}, without the factor 1 / (width · height). */
    void back(float[] real, float[] imaginary) {
        both(real, imaginary, 1);
    }

    private void both(float[] real, float[] imaginary, int sign) {
        for (int y = 0; y < height; y++) {
            line(real, imaginary, y * width, width, sign);
        }
        float[] re = new float[height];
        float[] im = new float[height];
        for (int x = 0; x < width; x++) {
            for (int y = 0; y < height; y++) {
                re[y] = real[y * width + x];
                im[y] = imaginary[y * width + x];
            }
            line(re, im, 0, height, sign);
            for (int y = 0; y < height; y++) {
                real[y * width + x] = re[y];
                imaginary[y * width + x] = im[y];
            }
        }
    }

    private void line(float[] re, float[] im, int from, int n, int sign) {
        for (int i = 1, j = 0; i < n; i++) {
            int bit = n >> 1;
            for (; (j & bit) != 0; bit >>= 1) {
                j ^= bit;
            }
            j ^= bit;
            if (i < j) {
                swap(re, from + i, from + j);
                swap(im, from + i, from + j);
            }
        }
        for (int size = 2; size <= n; size <<= 1) {
            butterflies(re, im, from, n, size, sign);
        }
    }

    private void butterflies(float[] re, float[] im, int from, int n, int size, int sign) {
        int half = size / 2;
        int step = longest / size;
        for (int start = from; start < from + n; start += size) {
            for (int k = 0; k < half; k++) {
                float cos = cosines[k * step];
                float sin = sign * sines[k * step];
                int a = start + k;
                int b = a + half;
                float r = re[b] * cos - im[b] * sin;
                float i = re[b] * sin + im[b] * cos;
                re[b] = re[a] - r;
                im[b] = im[a] - i;
                re[a] += r;
                im[a] += i;
            }
        }
    }

    private static void swap(float[] values, int i, int j) {
        float kept = values[i];
        values[i] = values[j];
        values[j] = kept;
    }
}
