package app.clearpane.core.plan;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Times of work as people type them. */
public final class Effort {
    private static final Pattern TYPED = Pattern.compile("(?:(\\d{1,5})(?:[.,](\\d))?\\s*h)?\\s*(?:(\\d{1,5})\\s*m)?");

    private Effort() {}

    /** Minutes of a time like "2.5h", "1h 30m" or "90m"; 0 if it is none. */
    public static int minutes(String typed) {
        Matcher read = TYPED.matcher(typed.strip().toLowerCase(Locale.ROOT));
        return read.matches() ? number(read.group(1)) * 60 + number(read.group(2)) * 6 + number(read.group(3)) : 0;
    }

    private static int number(@Nullable String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
