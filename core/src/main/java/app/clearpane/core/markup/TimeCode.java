package app.clearpane.core.markup;

import java.util.Locale;

/** Times of what is played as people read them: minutes, seconds and hundredths, "1:07.50". */
public final class TimeCode {
    private TimeCode() {}

    /** A time. @param seconds from the beginning, 0 or more */
    public static String of(double seconds) {
        long hundredths = Math.round(seconds * 100);
        long minutes = hundredths / 6_000;
        String tail = String.format(Locale.ROOT, "%02d.%02d", hundredths / 100 % 60, hundredths % 100);
        return minutes < 60
                ? minutes + ":" + tail
                : String.format(Locale.ROOT, "%d:%02d:", minutes / 60, minutes % 60) + tail;
    }

    /** A moment, or a span from its beginning to its end. */
    public static String of(Place.Moment moment) {
        return moment.isSpan() ? of(moment.from()) + " to " + of(moment.to()) : of(moment.from());
    }
}
