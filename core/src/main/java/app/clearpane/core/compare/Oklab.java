package app.clearpane.core.compare;

/**
 * Colours as the eye tells them apart (OKLab, Ottosson 2020). Distances are Euclidean: 0.02 is just seen side by side,
 * black and white are 1 apart.
 *
 * @param light from 0 to 1
 * @param green from green, below 0, to red
 * @param blue from blue, below 0, to yellow
 */
public record Oklab(double light, double green, double blue) {
    private static final int STEPS = 4_096;
    private static final float[] CUBE_ROOT = new float[STEPS + 2];

    static {
        for (int i = 0; i < CUBE_ROOT.length; i++) {
            CUBE_ROOT[i] = (float) Math.cbrt((double) i / STEPS);
        }
    }

    /** A colour of sRGB. @param rgb as {@code 0xRRGGBB} */
    public static Oklab of(int rgb) {
        double r = linear(rgb >> 16 & 255);
        double g = linear(rgb >> 8 & 255);
        double b = linear(rgb & 255);
        double l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
        double m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
        double s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
        return new Oklab(
                0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
                1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
                0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s);
    }

    /** One channel of sRGB in linear light. @param channel 0 to 255 @return 0 to 1 */
    public static double linear(int channel) {
        double c = channel / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** How far apart two colours are. */
    public double distance(Oklab other) {
        return Math.sqrt(
                Math.pow(light - other.light, 2) + Math.pow(green - other.green, 2) + Math.pow(blue - other.blue, 2));
    }

    /** How far apart two colours in linear light are, each channel 0 to 1; good to 0.0001, for millions of pixels. */
    static float distance(float r1, float g1, float b1, float r2, float g2, float b2) {
        float l = root(0.4122214708f * r1 + 0.5363325363f * g1 + 0.0514459929f * b1)
                - root(0.4122214708f * r2 + 0.5363325363f * g2 + 0.0514459929f * b2);
        float m = root(0.2119034982f * r1 + 0.6806995451f * g1 + 0.1073969566f * b1)
                - root(0.2119034982f * r2 + 0.6806995451f * g2 + 0.1073969566f * b2);
        float s = root(0.0883024619f * r1 + 0.2817188376f * g1 + 0.6299787005f * b1)
                - root(0.0883024619f * r2 + 0.2817188376f * g2 + 0.6299787005f * b2);
        float light = 0.2104542553f * l + 0.7936177850f * m - 0.0040720468f * s;
        float green = 1.9779984951f * l - 2.4285922050f * m + 0.4505937099f * s;
        float blue = 0.0259040371f * l + 0.7827717662f * m - 0.8086757660f * s;
        return (float) Math.sqrt(light * light + green * green + blue * blue);
    }

    /**
     * A colour in linear light, each channel 0 to 1; good to 0.0001, for millions of pixels. @param lab where it is
     * written: light, green, blue
     */
    static void of(float r, float g, float b, float[] lab) {
        float l = root(0.4122214708f * r + 0.5363325363f * g + 0.0514459929f * b);
        float m = root(0.2119034982f * r + 0.6806995451f * g + 0.1073969566f * b);
        float s = root(0.0883024619f * r + 0.2817188376f * g + 0.6299787005f * b);
        lab[0] = 0.2104542553f * l + 0.7936177850f * m - 0.0040720468f * s;
        lab[1] = 1.9779984951f * l - 2.4285922050f * m + 0.4505937099f * s;
        lab[2] = 0.0259040371f * l + 0.7827717662f * m - 0.8086757660f * s;
    }

    private static float root(float value) {
        float at = value * STEPS;
        int step = (int) at;
        return CUBE_ROOT[step] + (at - step) * (CUBE_ROOT[step + 1] - CUBE_ROOT[step]);
    }
}
