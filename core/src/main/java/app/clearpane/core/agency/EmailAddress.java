package app.clearpane.core.agency;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * An e-mail address as one compares it: trimmed, its domain in lower case, at most 254 characters (RFC 5321,
 * 4.5.3.1.3). The check is the one of HTML's {@code input type=email}: something that can be delivered to, not every
 * form of RFC 5322.
 */
public record EmailAddress(String value) {
    private static final int LONGEST = 254;
    private static final int SHOWN = 40;
    private static final Pattern SHAPE =
            Pattern.compile("[A-Za-z0-9.!#$%&'*+/=?^_`{|}~-]{1,64}@[A-Za-z0-9](?:[A-Za-z0-9-]{0,"
                    + "61}[A-Za-z0-9])?(?:\\.[A-Za-z0-9](?:[A-Za-z0-9-]{0,61}[A-Za-z0-9])?)+");

    /** @throws IllegalArgumentException if the text is no address that mail could be sent to */
    public EmailAddress {
        value = value.strip();
        int at = value.lastIndexOf('@');
        if (value.length() > LONGEST || at < 0 || !SHAPE.matcher(value).matches()) {
            throw new IllegalArgumentException(
                    "“" + shortened(value) + "” is not a mail address. It should look like name@example.org.");
        }
        value = value.substring(0, at).toLowerCase(Locale.ROOT)
                + value.substring(at).toLowerCase(Locale.ROOT);
    }

    private static String shortened(String text) {
        return text.codePointCount(0, text.length()) <= SHOWN
                ? text
                : text.substring(0, text.offsetByCodePoints(0, SHOWN)) + "…";
    }

    @Override
    public String toString() {
        return value;
    }
}
