package app.clearpane.core.agency;

import java.util.Locale;
import java.util.Optional;

/**
 * A colour of an agency's own, for buttons and links on its clients' pages.
 *
 * @param red from 0 to 255, as the others
 */
public record Accent(int red, int green, int blue) {
    /** The least contrast of words on what they stand on (WCAG 2.1, 1.4.3). */
    public static final double LEAST_CONTRAST = 4.5;

    private static final double LINEAR_BELOW = 0.04045;

    public Accent {
        if ((red | green | blue) < 0 || Math.max(red, Math.max(green, blue)) > 255) {
            throw new IllegalArgumentException("a part of a colour goes from 0 to 255");
        }
    }

    /** Reads "#14706a", or the same without its sign; empty if it is none. */
    public static Optional<Accent> read(String typed) {
        String hex = typed.strip().replaceFirst("^#", "");
        if (!hex.matches("[0-9a-fA-F]{6}")) {
            return Optional.empty();
        }
        int rgb = Integer.parseInt(hex, 16);
        return Optional.of(new Accent(rgb >> 16, rgb >> 8 & 255, rgb & 255));
    }

    /** Its contrast with white, from 1 to 21: (L1 + 0.05) / (L2 + 0.05) of the relative luminances (WCAG 2.1). */
    public double contrastWithWhite() {
        return 1.05 / (0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue) + 0.05);
    }

    private static double linear(int part) {
        double value = part / 255.0;
        return value <= LINEAR_BELOW ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
    }

    /** It, or the lightest darker one of its hue on which white words can be read, and which can be read on white. */
    public Accent legible() {
        for (int share = 255; share > 0; share--) {
            Accent darker = new Accent(red * share / 255, green * share / 255, blue * share / 255);
            if (darker.contrastWithWhite() >= LEAST_CONTRAST) {
                return darker;
            }
        }
        return new Accent(0, 0, 0);
    }

    /** "#14706a". */
    @Override
    public String toString() {
        return String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
    }
}
