package app.clearpane.core.money;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Reads an amount as it is printed: "1840", "1,840.00", "1.840,00 EUR", "£ 1 840", "1’840.–".
 *
 * <p>Where a comma and a point stand both, the last one begins the decimals. Where one of them stands once with exactly
 * three figures behind it, it parts thousands, as it would in print; with one, two or four and more it begins the
 * decimals.
 */
public final class TypedAmount {
    private static final int LONGEST = 60;
    private static final Pattern BESIDE = Pattern.compile("[\\p{Sc}\\s\\p{Zs}]|(?<![\\p{L}])\\p{Lu}{3}(?![\\p{L}])");
    private static final Pattern NO_DECIMALS = Pattern.compile("[.,][-–—]$");
    private static final Pattern PARTED = Pattern.compile("\\d{1,3}(?:[.,'’]\\d{3})+");
    private static final Pattern PLAIN = Pattern.compile("\\d{1,15}");
    private static final Pattern DECIMALS = Pattern.compile("\\d{0,15}");

    private TypedAmount() {}

    /** The amount; empty if it is none, or if it could be read in several ways. */
    public static Optional<BigDecimal> of(String typed) {
        if (typed.length() > LONGEST) {
            return Optional.empty();
        }
        String bare = NO_DECIMALS.matcher(BESIDE.matcher(typed).replaceAll("")).replaceAll("");
        boolean less = bare.startsWith("-") || bare.startsWith("−");
        String figures = less || bare.startsWith("+") ? bare.substring(1) : bare;
        return unsigned(figures).map(amount -> less ? amount.negate() : amount);
    }

    private static Optional<BigDecimal> unsigned(String figures) {
        int last = Math.max(figures.lastIndexOf('.'), figures.lastIndexOf(','));
        if (last < 0) {
            return whole(figures).map(BigDecimal::new);
        }
        char sign = figures.charAt(last);
        boolean mixed = figures.substring(0, last).chars().anyMatch(c -> c != sign && !Character.isDigit(c));
        if (!mixed && figures.length() - last == 4 && PARTED.matcher(figures).matches() && !figures.startsWith("0")) {
            return whole(figures).map(BigDecimal::new);
        }
        String decimals = figures.substring(last + 1);
        String before = figures.substring(0, last);
        if (before.indexOf(sign) >= 0
                || !DECIMALS.matcher(decimals).matches()
                || before.isEmpty() && decimals.isEmpty()) {
            return Optional.empty();
        }
        return (before.isEmpty() ? Optional.of("0") : whole(before))
                .map(whole -> new BigDecimal(whole + (decimals.isEmpty() ? "" : "." + decimals)));
    }

    /**
     * Figures without what parts thousands; empty if that stands elsewhere than before each three of them, or if it
     * changes.
     */
    private static Optional<String> whole(String figures) {
        if (PLAIN.matcher(figures).matches()) {
            return Optional.of(figures);
        }
        boolean one =
                figures.chars().filter(c -> !Character.isDigit(c)).distinct().count() == 1;
        return one && PARTED.matcher(figures).matches() ? Optional.of(figures.replaceAll("\\D", "")) : Optional.empty();
    }
}
