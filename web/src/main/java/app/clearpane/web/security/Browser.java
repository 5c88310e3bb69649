package app.clearpane.web.security;

import java.util.LinkedHashMap;
import java.util.Map;

/** A browser as it calls itself, roughly: enough to tell a telephone from a desk. */
record Browser(String program, String system) {
    private static final Map<String, String> PROGRAMS = inOrder(
            "Edg",
            "Edge",
            "OPR",
            "Opera",
            "Firefox",
            "Firefox",
            "Chrome",
            "Chrome",
            "Safari",
            "Safari",
            "Java-http-client",
            "a program");
    private static final Map<String, String> SYSTEMS = inOrder(
            "Android",
            "Android",
            "iPhone",
            "an iPhone",
            "iPad",
            "an iPad",
            "Windows",
            "Windows",
            "Mac OS",
            "a Mac",
            "Linux",
            "Linux");

    private static Map<String, String> inOrder(String... pairs) {
        Map<String, String> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            map.put(pairs[i], pairs[i + 1]);
        }
        return map;
    }

    /**
     * Reads it off the header {@code User-Agent}; the first name that stands in it counts, since most call themselves
     * by several.
     */
    static Browser of(String userAgent) {
        return new Browser(first(PROGRAMS, userAgent), first(SYSTEMS, userAgent));
    }

    private static String first(Map<String, String> names, String userAgent) {
        return names.entrySet().stream()
                .filter(one -> userAgent.contains(one.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse("");
    }

    /** "Firefox on Windows". */
    String inWords() {
        String known = program.isEmpty()
                ? "A browser that does not say which"
                : program.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + program.substring(1);
        return system.isEmpty() ? known : known + " on " + system;
    }
}
