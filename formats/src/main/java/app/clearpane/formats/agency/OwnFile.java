package app.clearpane.formats.agency;

import java.util.Map;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.json.JsonMapper;

/** The file in which somebody takes away what is kept of them. */
public final class OwnFile {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
            .build();

    private OwnFile() {}

    /** As JSON (RFC 8259) in UTF-8, indented to be read; instants as RFC 3339 in UTC. */
    public static byte[] write(Map<String, Object> all) {
        return JSON.writeValueAsBytes(all);
    }
}
