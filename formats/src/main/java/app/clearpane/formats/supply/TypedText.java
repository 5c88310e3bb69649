package app.clearpane.formats.supply;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** Text without a word of how it is written down: UTF-8 if it can be that, else ISO 8859-1. */
public final class TypedText {
    private static final int BEGINNING = 1 << 20;

    private TypedText() {}

    /** So many of its lines as stand in its first megabyte. */
    public static String beginning(Path file) throws IOException {
        byte[] bytes;
        try (InputStream in = Files.newInputStream(file)) {
            bytes = in.readNBytes(BEGINNING);
        }
        return decoded(bytes.length < BEGINNING ? bytes : wholeLines(bytes));
    }

    private static byte[] wholeLines(byte[] bytes) {
        int end = bytes.length;
        while (end > 0 && bytes[end - 1] != '\n') {
            end--;
        }
        return Arrays.copyOf(bytes, end > 0 ? end : bytes.length);
    }

    private static String decoded(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException older) {
            return new String(bytes, StandardCharsets.ISO_8859_1);
        }
    }
}
