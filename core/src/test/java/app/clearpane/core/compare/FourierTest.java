package app.clearpane.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The fast transform gives what the slow one gives, and keeps the laws of it. */
class FourierTest {
    private static float[] random(Random random, int count) {
        float[] values = new float[count];
        for (int i = 0; i < count; i++) {
            values[i] = random.nextFloat() * 2 - 1;
        }
        return values;
    }

    /** As it is defined, one sum for each frequency. */
    private static double[][] slowly(float[] real, float[] imaginary, int width, int height, int sign) {
        double[][] result = new double[2][width * height];
        for (int v = 0; v < height; v++) {
            for (int u = 0; u < width; u++) {
                for (int y = 0; y < height; y++) {
                    for (int x = 0; x < width; x++) {
                        double turn = sign * 2 * Math.PI * ((double) u * x / width + (double) v * y / height);
                        int at = y * width + x;
                        result[0][v * width + u] += real[at] * Math.cos(turn) - imaginary[at] * Math.sin(turn);
                        result[1][v * width + u] += real[at] * Math.sin(turn) + imaginary[at] * Math.cos(turn);
                    }
                }
            }
        }
        return result;
    }

    @ParameterizedTest(name = "{0} × {1}")
    @CsvSource({"1, 1", "1, 8", "8, 1", "2, 2", "4, 16", "16, 4", "32, 8"})
    void isTheTransformAsItIsDefined(int width, int height) {
        Random random = new Random(width * 31L + height);
        float[] real = random(random, width * height);
        float[] imaginary = random(random, width * height);
        double[][] forward = slowly(real, imaginary, width, height, -1);
        double[][] back = slowly(real, imaginary, width, height, 1);
        isClose(real.clone(), imaginary.clone(), width, height, true, forward);
        isClose(real.clone(), imaginary.clone(), width, height, false, back);
    }

    private static void isClose(
            float[] real, float[] imaginary, int width, int height, boolean forward, double[][] expected) {
        Fourier fourier = new Fourier(width, height);
        if (forward) {
            fourier.forward(real, imaginary);
        } else {
            fourier.back(real, imaginary);
        }
        for (int i = 0; i < real.length; i++) {
            assertThat((double) real[i]).isCloseTo(expected[0][i], within(1e-3));
            assertThat((double) imaginary[i]).isCloseTo(expected[1][i], within(1e-3));
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @CsvSource({"1", "2", "3", "4"})
    void thereAndBackIsTheSameAndNoEnergyIsLost(long seed) {
        Random random = new Random(seed);
        int width = 1 << random.nextInt(8);
        int height = 1 << random.nextInt(8);
        float[] real = random(random, width * height);
        float[] imaginary = random(random, width * height);
        float[] re = real.clone();
        float[] im = imaginary.clone();
        Fourier fourier = new Fourier(width, height);
        fourier.forward(re, im);
        assertThat(energy(re, im) / (width * height)).isCloseTo(energy(real, imaginary), within(1e-3 * width * height));
        fourier.back(re, im);
        for (int i = 0; i < re.length; i++) {
            assertThat(re[i] / (width * height)).isCloseTo(real[i], within(1e-4f));
            assertThat(im[i] / (width * height)).isCloseTo(imaginary[i], within(1e-4f));
        }
    }

    private static double energy(float[] real, float[] imaginary) {
        double sum = 0;
        for (int i = 0; i < real.length; i++) {
            sum += real[i] * real[i] + imaginary[i] * imaginary[i];
        }
        return sum;
    }

    @Test
    void takesNoOtherSides() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Fourier(12, 8))
                .withMessageContaining("12 × 8");
        assertThatIllegalArgumentException().isThrownBy(() -> new Fourier(8, 0));
    }
}
