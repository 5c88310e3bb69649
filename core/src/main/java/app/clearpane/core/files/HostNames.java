package app.clearpane.core.files;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Names of hosts (RFC 1123), each for itself; "*.maps.example" stands for all below it.
 *
 * @param names in lower case
 */
public record HostNames(List<String> names) {
    private static final Pattern NAME =
            Pattern.compile("(\\*\\.)?[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?(\\.[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?)+");
    private static final Pattern NUMBERS = Pattern.compile("[0-9.]+");
    private static final int MOST = 40;

    public HostNames {
        names = List.copyOf(names);
    }

    /**
     * Reads them as they are typed, with blanks, commas or line ends between them.
     *
     * @throws IllegalArgumentException saying which is none
     */
    public static HostNames read(String typed) {
        List<String> names = List.of(typed.toLowerCase(Locale.ROOT).split("[\\s,;]+")).stream()
                .filter(one -> !one.isEmpty())
                .distinct()
                .toList();
        for (String name : names) {
            if (name.length() > 253
                    || !NAME.matcher(name).matches()
                    || NUMBERS.matcher(name).matches()) {
                throw new IllegalArgumentException(
                        "“" + name + "” is no name of a host, like “maps.example.org” or “*.example.org”.");
            }
        }
        if (names.size() > MOST) {
            throw new IllegalArgumentException("Up to " + MOST + " hosts are possible.");
        }
        return new HostNames(names);
    }

    /** Whether an address leads to one of them, over HTTPS and its usual port. */
    public boolean has(URI address) {
        String host = String.valueOf(address.getHost()).toLowerCase(Locale.ROOT);
        return "https".equalsIgnoreCase(address.getScheme())
                && (address.getPort() == -1 || address.getPort() == 443)
                && names.stream()
                        .anyMatch(name -> name.startsWith("*.") ? host.endsWith(name.substring(1)) : host.equals(name));
    }

    /** As they are typed, a line each. */
    public String typed() {
        return String.join("\n", names);
    }
}
