package app.clearpane.core.record;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.erdtman.jcs.JsonCanonicalizer;

/**
 * JSON in its one canonical form (RFC 8785), so that the same content always has the same bytes and the same digest.
 *
 * @param text the canonical text
 */
public record CanonicalJson(String text) {
    /** What may stand behind a backslash, and in the same order what it means. */
    private static final String ESCAPES = "bfnrt\"\\/";

    private static final String ESCAPED = "\b\f\n\r\t\"\\/";

    /**
     * Brings JSON text to its canonical form.
     *
     * @throws IllegalArgumentException if the text is not a JSON object or array, or holds half a character
     */
    public static CanonicalJson parse(String json) {
        try {
            String canonical = new JsonCanonicalizer(json).getEncodedString();
            if (canonical
                    .codePoints()
                    .anyMatch(point -> point >= Character.MIN_SURROGATE && point <= Character.MAX_SURROGATE)) {
                throw new IllegalArgumentException("a surrogate stands without the other half of its character");
            }
            return new CanonicalJson(canonical);
        } catch (IOException e) {
            throw new IllegalArgumentException("not JSON: " + e.getMessage(), e);
        }
    }

    /**
     * Writes maps, lists, strings and booleans. Numbers are written as strings, as the Record asks for.
     *
     * @throws IllegalArgumentException for anything else
     */
    public static CanonicalJson of(Map<String, ?> content) {
        return parse(json(content));
    }

    /** A string as it stands in canonical text, with its quotes. */
    public static String string(String value) {
        String list = parse("[" + quoted(value) + "]").text();
        return list.substring(1, list.length() - 1);
    }

    /** The strings that stand in it as values, not as names, in their order. */
    public List<String> strings() {
        List<String> values = new ArrayList<>();
        StringBuilder inside = new StringBuilder();
        for (int i = text.indexOf('"'); i >= 0; i = text.indexOf('"', i)) {
            inside.setLength(0);
            for (i++; text.charAt(i) != '"'; i++) {
                if (text.charAt(i) != '\\') {
                    inside.append(text.charAt(i));
                } else if (text.charAt(++i) == 'u') {
                    inside.append((char) Integer.parseInt(text.substring(i + 1, i + 5), 16));
                    i += 4;
                } else {
                    inside.append(ESCAPED.charAt(ESCAPES.indexOf(text.charAt(i))));
                }
            }
            i++;
            if (i == text.length() || text.charAt(i) != ':') {
                values.add(inside.toString());
            }
        }
        return values;
    }

    /** Whether the object itself, and nothing within it, has a field of this name that is true. */
    public boolean isTrue(String name) {
        String wanted = string(name) + ":true";
        int depth = 0;
        boolean inString = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (inString) {
                i += c == '\\' ? 1 : 0;
                inString = c != '"';
            } else if (c == '"') {
                if (depth == 1 && text.startsWith(wanted, i) && ",{".indexOf(text.charAt(i - 1)) >= 0) {
                    return true;
                }
                inString = true;
            } else {
                depth += "{[".indexOf(c) >= 0 ? 1 : "}]".indexOf(c) >= 0 ? -1 : 0;
            }
        }
        return false;
    }

    private static String json(Object value) {
        if (value instanceof Map<?, ?> map) {
            return map.entrySet().stream()
                    .map(e -> quoted(e.getKey().toString()) + ":" + json(e.getValue()))
                    .collect(Collectors.joining(",", "{", "}"));
        }
        if (value instanceof Collection<?> list) {
            return list.stream().map(CanonicalJson::json).collect(Collectors.joining(",", "[", "]"));
        }
        if (value instanceof Boolean) {
            return value.toString();
        }
        if (value instanceof CharSequence
                || value instanceof Number
                || value instanceof Enum<?>
                || value instanceof Record
                || value instanceof java.time.temporal.Temporal) {
            return quoted(value.toString());
        }
        throw new IllegalArgumentException("cannot be written into the Record: " + value.getClass());
    }

    private static String quoted(String text) {
        StringBuilder out = new StringBuilder("\"");
        text.chars().forEach(c -> {
            if (c == '"' || c == '\\') {
                out.append('\\').append((char) c);
            } else if (c < 0x20 || Character.isSurrogate((char) c)) {
                out.append("\\u%04x".formatted(c));
            } else {
                out.append((char) c);
            }
        });
        return out.append('"').toString();
    }
}
