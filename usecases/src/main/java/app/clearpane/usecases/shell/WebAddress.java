package app.clearpane.usecases.shell;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.List;
import java.util.Locale;

/** Addresses on the web, as people type them. */
public final class WebAddress {
    private static final int LONGEST = 2_000;

    private WebAddress() {}

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
