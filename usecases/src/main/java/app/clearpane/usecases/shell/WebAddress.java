package app.clearpane.usecases.shell;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Addresses on the web, as people type them. */
public final class WebAddress {
    private static final int LONGEST = 2_000;
    private static final Pattern PRIVATE_NAME =
            Pattern.compile(".*\\.(local|localhost|internal|intranet|lan|home|corp|home\\.arpa)\\.?");
    /** RFC 1918, loopback, link-local and unset addresses. */
    private static final Pattern PRIVATE_NUMBER =
            Pattern.compile("(10|127|0)\\..*|192\\.168\\..*|169\\.254\\..*|172\\.(1[6-9]|2\\d|3[01])\\..*");

    private WebAddress() {}

    /** Whether an address leads to a host that others can reach, as far as its name tells. */
    public static boolean isPublic(String address) {
        String host = String.valueOf(URI.create(address).getHost()).toLowerCase(Locale.ROOT);
        boolean named = host.contains(".") && !PRIVATE_NAME.matcher(host).matches();
        return named && !PRIVATE_NUMBER.matcher(host).matches();
    }

    /** Whether something is an address that leads somewhere and tells nobody's name or password. */
    public static boolean isOne(String typed) {
        try {
            URI address = new URI(typed);
            return typed.length() <= LONGEST
                    && List.of("http", "https")
                            .contains(String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT))
                    && address.getHost() != null
                    && address.getUserInfo() == null;
        } catch (URISyntaxException noAddress) {
            return false;
        }
    }
}
