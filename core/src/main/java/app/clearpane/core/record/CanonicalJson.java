package app.clearpane.core.record;

import java.io.IOException;
import java.io.StringWriter;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.erdtman.jcs.JsonCanonicalizer;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/**
 * JSON in its one canonical form (RFC 8785), so that the same content always has the same bytes and the same digest.
 *
 * @param text the canonical text
 */
public record CanonicalJson(String text) {
    private static final JsonFactory JSON = new JsonFactory();

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
        String list = parse(json(List.of(value))).text();
        return list.substring(1, list.length() - 1);
    }

    /** The strings that stand in it as values, not as names, in their order. */
    public List<String> strings() {
        List<String> values = new ArrayList<>();
        try (JsonParser parser = JSON.createParser(ObjectReadContext.empty(), text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                if (token == JsonToken.VALUE_STRING) {
                    values.add(parser.getString());
                }
            }
        }
        return values;
    }

    /** Whether the object itself, and nothing within it, has a field of this name that is true. */
    public boolean isTrue(String name) {
        try (JsonParser parser = JSON.createParser(ObjectReadContext.empty(), text)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                return false;
            }
            for (String field = parser.nextName(); field != null; field = parser.nextName()) {
                if (parser.nextToken() == JsonToken.VALUE_TRUE && field.equals(name)) {
                    return true;
                }
                parser.skipChildren();
            }
            return false;
        }
    }

    private static String json(Object value) {
        StringWriter text = new StringWriter();
        try (JsonGenerator generator = JSON.createGenerator(ObjectWriteContext.empty(), text)) {
            write(value, generator);
        }
        return text.toString();
    }

    private static void write(Object value, JsonGenerator to) {
        if (value instanceof Map<?, ?> map) {
            to.writeStartObject();
            map.forEach((name, within) -> {
                to.writeName(name.toString());
                write(within, to);
            });
            to.writeEndObject();
        } else if (value instanceof Collection<?> list) {
            to.writeStartArray();
            list.forEach(within -> write(within, to));
            to.writeEndArray();
        } else if (value instanceof Boolean flag) {
            to.writeBoolean(flag);
        } else if (value instanceof CharSequence
                || value instanceof Number
                || value instanceof Enum<?>
                || value instanceof Record
                || value instanceof Temporal) {
            to.writeString(value.toString());
        } else {
            throw new IllegalArgumentException("cannot be written into the Record: " + value.getClass());
        }
    }
}
