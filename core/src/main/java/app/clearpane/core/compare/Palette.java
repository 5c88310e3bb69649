package app.clearpane.core.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The colours a picture is made of (X1), the commonest first.
 *
 * <p><b>Algorithm.</b> The picture is made 128 pixels wide; its pixels are gathered around up to eight colours (k-means
 * in OKLab, begun by k-means++ with a fixed seed, so that the same picture gives the same palette); colours nearer than
 * 0.03 are one. Each is shown as the pixel nearest to its middle, so that it is a colour of the picture.
 */
public record Palette(List<Colour> colours) {
    private static final int WIDTH = 128;
    private static final int MOST = 8;
    private static final int ROUNDS = 20;
    private static final double SAME = 0.03;
    private static final long SEED = 20_270_324;

    public Palette {
        colours = List.copyOf(colours);
    }

    /**
     * One colour.
     *
     * @param rgb as {@code 0xRRGGBB}
     * @param share of the picture, above 0 up to 1
     */
    public record Colour(int rgb, double share) {
        /** As {@code #14706a}. */
        public String hex() {
            return "#%06x".formatted(rgb);
        }

        /** The contrast to another by WCAG 2, 1 to 21. */
        public double contrast(Colour other) {
            double lighter = Math.max(luminance(rgb), luminance(other.rgb));
            double darker = Math.min(luminance(rgb), luminance(other.rgb));
            return (lighter + 0.05) / (darker + 0.05);
        }

        private static double luminance(int rgb) {
            return 0.2126 * Oklab.linear(rgb >> 16 & 255)
                    + 0.7152 * Oklab.linear(rgb >> 8 & 255)
                    + 0.0722 * Oklab.linear(rgb & 255);
        }
    }

    /** The palette of a picture. */
    public static Palette of(Raster picture) {
        int[] pixels = picture.narrowedTo(WIDTH).rgb();
        Oklab[] colours = Arrays.stream(pixels).mapToObj(Oklab::of).toArray(Oklab[]::new);
        Oklab[] centres = moved(colours, begun(colours));
        List<Colour> found = new ArrayList<>();
        int[] nearest = nearest(colours, centres);
        for (int centre = 0; centre < centres.length; centre++) {
            int own = centre;
            long count = Arrays.stream(nearest).filter(one -> one == own).count();
            if (count > 0) {
                found.add(new Colour(pixels[closest(colours, centres[centre])], (double) count / pixels.length));
            }
        }
        return new Palette(merged(found));
    }

    /**
     * Centres far from each other: each next one is drawn with a chance that grows with the square of its distance to
     * those before.
     */
    private static Oklab[] begun(Oklab[] colours) {
        SplittableRandom random = new SplittableRandom(SEED);
        List<Oklab> centres = new ArrayList<>(List.of(colours[random.nextInt(colours.length)]));
        double[] weights = new double[colours.length];
        while (centres.size() < MOST) {
            double sum = 0;
            for (int i = 0; i < colours.length; i++) {
                Oklab colour = colours[i];
                weights[i] = centres.stream()
                        .mapToDouble(centre -> Math.pow(centre.distance(colour), 2))
                        .min()
                        .orElseThrow();
                sum += weights[i];
            }
            if (sum < 1e-9) {
                break;
            }
            double at = random.nextDouble() * sum;
            int chosen = 0;
            while (chosen < weights.length - 1 && (at -= weights[chosen]) > 0) {
                chosen++;
            }
            centres.add(colours[chosen]);
        }
        return centres.toArray(Oklab[]::new);
    }

    private static Oklab[] moved(Oklab[] colours, Oklab[] begun) {
        Oklab[] centres = begun.clone();
        for (int round = 0; round < ROUNDS; round++) {
            int[] nearest = nearest(colours, centres);
            double[][] sums = new double[centres.length][4];
            for (int i = 0; i < colours.length; i++) {
                double[] sum = sums[nearest[i]];
                sum[0] += colours[i].light();
                sum[1] += colours[i].green();
                sum[2] += colours[i].blue();
                sum[3]++;
            }
            for (int i = 0; i < centres.length; i++) {
                centres[i] = sums[i][3] == 0
                        ? centres[i]
                        : new Oklab(sums[i][0] / sums[i][3], sums[i][1] / sums[i][3], sums[i][2] / sums[i][3]);
            }
        }
        return centres;
    }

    private static int[] nearest(Oklab[] colours, Oklab[] centres) {
        int[] nearest = new int[colours.length];
        for (int i = 0; i < colours.length; i++) {
            for (int centre = 1; centre < centres.length; centre++) {
                if (centres[centre].distance(colours[i]) < centres[nearest[i]].distance(colours[i])) {
                    nearest[i] = centre;
                }
            }
        }
        return nearest;
    }

    private static int closest(Oklab[] colours, Oklab to) {
        int closest = 0;
        for (int i = 1; i < colours.length; i++) {
            closest = colours[i].distance(to) < colours[closest].distance(to) ? i : closest;
        }
        return closest;
    }

    private static List<Colour> merged(List<Colour> found) {
        List<Colour> result = new ArrayList<>();
        for (Colour colour : found.stream()
                .sorted(Comparator.comparingDouble(Colour::share).reversed().thenComparingInt(Colour::rgb))
                .toList()) {
            int same = 0;
            while (same < result.size() && Oklab.of(result.get(same).rgb).distance(Oklab.of(colour.rgb)) >= SAME) {
                same++;
            }
            if (same < result.size()) {
                result.set(same, new Colour(result.get(same).rgb, result.get(same).share + colour.share));
            } else {
                result.add(colour);
            }
        }
        return result.stream()
                .sorted(Comparator.comparingDouble(Colour::share).reversed().thenComparingInt(Colour::rgb))
                .toList();
    }
}
