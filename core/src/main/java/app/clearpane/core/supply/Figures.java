package app.clearpane.core.supply;

import java.time.Duration;
import java.util.Locale;

/** Figures as they are said of files. */
final class Figures {
    private Figures() {}

    /** “4,678”. */
    static String grouped(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }

    /** A length without needless decimals: “297”, “61.5”. */
    static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.format(Locale.ROOT, "%.1f", number);
    }

    /** “1 page”, “2,000 pages”. */
    static String counted(long number, String one) {
        return grouped(number) + " " + one + (number == 1 ? "" : "s");
    }

    /** “0:07”, “1:02:09”; whole seconds, rounded. */
    static String played(Duration length) {
        long seconds = Math.round(length.toMillis() / 1_000.0);
        return seconds >= 3_600
                ? String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3_600, seconds / 60 % 60, seconds % 60)
                : String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
    }
}
