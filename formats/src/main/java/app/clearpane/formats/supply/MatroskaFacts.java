package app.clearpane.formats.supply;

import app.clearpane.core.supply.Pixels;
import java.io.IOException;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/** What Matroska and WebM say before their first pictures (RFC 8794, RFC 9559): how long, and how large. */
final class MatroskaFacts {
    private static final int READ = 1 << 20;
    private static final int EBML = 0x1A45DFA3;
    private static final int DOC_TYPE = 0x4282;
    private static final int SEGMENT = 0x18538067;
    private static final int INFO = 0x1549A966;
    private static final int SCALE = 0x2AD7B1;
    private static final int DURATION = 0x4489;
    private static final int TRACKS = 0x1654AE6B;
    private static final int TRACK = 0xAE;
    private static final int VIDEO = 0xE0;
    private static final int WIDTH = 0xB0;
    private static final int HEIGHT = 0xBA;
    private static final int CLUSTER = 0x1F43B675;

    private String type = "";
    private long scale = 1_000_000;
    private double ticks;
    private int width;
    private int height;

    private MatroskaFacts() {}

    /** What is found; nothing of it where the file is something else. */
    static MatroskaFacts read(Path file) throws IOException {
        MatroskaFacts facts = new MatroskaFacts();
        try (FileChannel in = FileChannel.open(file)) {
            facts.into(PartOfFile.read(in, 0, READ));
        } catch (BufferUnderflowException cutOff) {
            return facts;
        }
        return facts;
    }

    private void into(ByteBuffer bytes) {
        while (bytes.remaining() > 2) {
            int id = id(bytes);
            long size = size(bytes);
            if (id == CLUSTER) {
                return;
            }
            if (id == EBML || id == SEGMENT || id == INFO || id == TRACKS || id == TRACK || id == VIDEO) {
                continue;
            }
            if (size < 0 || size > bytes.remaining()) {
                return;
            }
            ByteBuffer value = bytes.slice(bytes.position(), (int) size);
            bytes.position(bytes.position() + (int) size);
            note(id, value);
        }
    }

    private void note(int id, ByteBuffer value) {
        switch (id) {
            case DOC_TYPE ->
                type = StandardCharsets.US_ASCII.decode(value).toString().replace("\0", "");
            case SCALE -> scale = number(value);
            case DURATION ->
                ticks = value.remaining() == 4 ? value.getFloat() : value.remaining() == 8 ? value.getDouble() : 0;
            case WIDTH -> width = width == 0 ? (int) number(value) : width;
            case HEIGHT -> height = height == 0 ? (int) number(value) : height;
            default -> {}
        }
    }

    /** With its marker, as identifiers are written. */
    private static int id(ByteBuffer bytes) {
        int first = bytes.get() & 0xff;
        int more = Integer.numberOfLeadingZeros(first) - 24;
        int id = first;
        for (int i = 0; i < more && bytes.hasRemaining(); i++) {
            id = id << 8 | bytes.get() & 0xff;
        }
        return id;
    }

    /** Without its marker; -1 where it is not known. */
    private static long size(ByteBuffer bytes) {
        int first = bytes.get() & 0xff;
        int more = Integer.numberOfLeadingZeros(first) - 24;
        long size = first & 0xff >> more + 1;
        boolean known = size != 0xff >> more + 1;
        for (int i = 0; i < more && bytes.hasRemaining(); i++) {
            int next = bytes.get() & 0xff;
            known |= next != 0xff;
            size = size << 8 | next;
        }
        return known ? size : -1;
    }

    private static long number(ByteBuffer value) {
        long number = 0;
        while (value.hasRemaining()) {
            number = number << 8 | value.get() & 0xff;
        }
        return number;
    }

    Optional<Duration> length() {
        double seconds = ticks * scale / 1e9;
        return seconds > 0 ? Optional.of(Duration.ofMillis(Math.round(seconds * 1_000))) : Optional.empty();
    }

    Optional<Pixels> frame() {
        return width > 0 && height > 0 ? Optional.of(new Pixels(width, height)) : Optional.empty();
    }

    /** Its media type: with pictures a film, without a sound. */
    String mediaType() {
        String kind = frame().isPresent() ? "video/" : "audio/";
        return kind + (type.equals("webm") ? "webm" : "x-matroska");
    }
}
