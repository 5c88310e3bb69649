package app.clearpane.formats.apart;

import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.markup.Place;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.json.JsonMapper;

/** What the house and its processes say to each other: a sign, how many bytes follow, and a record as JSON. */
final class Line {
    /** A piece of what was wished. */
    static final int PIECE = 'p';
    /** It goes on. */
    static final int GOES_ON = 'g';
    /** It is done, and this came of it. */
    static final int DONE = 'd';
    /** The file does not allow it, for this reason. */
    static final int UNUSABLE = 'u';
    /** The machine does not allow it. */
    static final int FAILED = 'f';

    private static final int LONGEST = 600_000_000;
    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(LONGEST)
                            .build())
                    .build())
            .addMixIn(Wish.class, Named.class)
            .addMixIn(Place.class, Named.class)
            .addMixIn(PageMatch.class, Named.class)
            .build();

    private Line() {}

    /** Of several kinds of records, which one it is stands with it. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME)
    private interface Named {}

    static void write(DataOutputStream out, int sign, Object what) throws IOException {
        byte[] json = JSON.writeValueAsBytes(what);
        out.write(sign);
        out.writeInt(json.length);
        out.write(json);
        out.flush();
    }

    /** What follows a sign. @throws IOException if it is none of these */
    static <T> T read(DataInputStream in, Class<T> kind) throws IOException {
        int length = in.readInt();
        if (length < 0 || length > LONGEST) {
            throw new IOException("an answer of " + length + " bytes");
        }
        byte[] json = in.readNBytes(length);
        if (json.length < length) {
            throw new EOFException();
        }
        try {
            return JSON.readValue(json, kind);
        } catch (JacksonException strange) {
            throw new IOException("an answer that is none: " + strange.getOriginalMessage(), strange);
        }
    }
}
