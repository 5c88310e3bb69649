package app.clearpane.core.supply;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A size on paper. Either way up is the same size: a picture is turned to it.
 *
 * @param name as it is called, “A2” or “297 × 210 mm”
 * @param longSide in millimetres, above 0
 * @param shortSide in millimetres, above 0, at most the long side
 */
public record PrintSize(String name, double longSide, double shortSide) {
    private static final double MILLIMETRES = 25.4;
    private static final double LARGEST = 20_000;
    private static final double NOTHING = 1e-9;
    private static final Map<String, double[]> KNOWN = Map.of(
            "A0", new double[] {1189, 841},
            "A1", new double[] {841, 594},
            "A2", new double[] {594, 420},
            "A3", new double[] {420, 297},
            "A4", new double[] {297, 210},
            "A5", new double[] {210, 148},
            "A6", new double[] {148, 105});
    private static final Pattern TYPED =
            Pattern.compile("(\\d{1,5}(?:[.,]\\d)?)\\s*[x×*]\\s*(\\d{1,5}(?:[.,]\\d)?)\\s*(mm|cm|m)?");

    public PrintSize {
        if (!(shortSide > 0 && longSide >= shortSide && longSide <= LARGEST)) {
            throw new IllegalArgumentException(
                    "a size on paper is up to 20 metres, long side first, got " + longSide + " × " + shortSide + " mm");
        }
    }

    /** A size as it is typed: “A2”, or two lengths, in millimetres unless they say otherwise. */
    public static Optional<PrintSize> read(String typed) {
        String text = typed.strip();
        double[] known = KNOWN.get(text.toUpperCase(Locale.ROOT));
        if (known != null) {
            return Optional.of(new PrintSize(text.toUpperCase(Locale.ROOT), known[0], known[1]));
        }
        Matcher lengths = TYPED.matcher(text.toLowerCase(Locale.ROOT));
        if (!lengths.matches()) {
            return Optional.empty();
        }
        double unit =
                switch (lengths.group(3) == null ? "mm" : lengths.group(3)) {
                    case "m" -> 1_000;
                    case "cm" -> 10;
                    default -> 1;
                };
        double one = length(lengths.group(1)) * unit;
        double other = length(lengths.group(2)) * unit;
        return Math.min(one, other) > 0 && Math.max(one, other) <= LARGEST
                ? Optional.of(new PrintSize(
                        Figures.plain(one) + " × " + Figures.plain(other) + " mm",
                        Math.max(one, other),
                        Math.min(one, other)))
                : Optional.empty();
    }

    /** A size as it was measured, by its own name if it is within a millimetre of one that has one. */
    public static Optional<PrintSize> near(double longSide, double shortSide) {
        if (!(shortSide > 0 && longSide >= shortSide && longSide <= LARGEST)) {
            return Optional.empty();
        }
        return KNOWN.keySet().stream()
                .sorted()
                .flatMap(name -> read(name).stream())
                .filter(known -> Math.abs(known.longSide - longSide) <= 1 && Math.abs(known.shortSide - shortSide) <= 1)
                .findFirst()
                .or(() -> Optional.of(new PrintSize(
                        Figures.plain(tenths(longSide)) + " × " + Figures.plain(tenths(shortSide)) + " mm",
                        longSide,
                        shortSide)));
    }

    private static double tenths(double length) {
        return Math.round(length * 10) / 10.0;
    }

    private static double length(String digits) {
        return Double.parseDouble(digits.replace(',', '.'));
    }

    /**
     * Rule Q1: the resolution of a picture printed at this size, in dots per inch: the picture is turned to the paper,
     * and the smaller of both directions counts, rounded down.
     */
    public int resolution(Pixels picture) {
        return (int) Math.floor(Math.min(alongLong(picture), alongShort(picture)) + NOTHING);
    }

    /** Whether the long side of the picture is what limits its resolution. */
    public boolean isLimitedByLongSide(Pixels picture) {
        return alongLong(picture) <= alongShort(picture);
    }

    /** How many pixels a side of so many millimetres needs at a resolution in dots per inch, rounded up. */
    public static int needed(double millimetres, int resolution) {
        return (int) Math.ceil(resolution * millimetres / MILLIMETRES - NOTHING);
    }

    private double alongLong(Pixels picture) {
        return picture.longSide() * MILLIMETRES / longSide;
    }

    private double alongShort(Pixels picture) {
        return picture.shortSide() * MILLIMETRES / shortSide;
    }
}
