package app.clearpane.formats.supply;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/**
 * How long sounds play that say so in their own way: FLAC (RFC 9639), Ogg with Vorbis or Opus (RFC 3533, RFC 7845) and
 * MPEG audio of layer III (ISO/IEC 11172-3, 13818-3), whose length stands in a tag of the first frame or follows from
 * an even rate.
 */
final class SoundLength {
    private static final int START = 64 * 1024;
    private static final int END = 128 * 1024;
    private static final int[][] KILOBITS = {
        {0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320},
        {0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160}
    };
    private static final int[] RATES = {44_100, 48_000, 32_000};

    private SoundLength() {}

    /** How long a file plays; empty where it does not say. */
    static Optional<Duration> of(Path file) throws IOException {
        try (FileChannel in = FileChannel.open(file)) {
            ByteBuffer start = PartOfFile.read(in, 0, START);
            if (begins(start, 0, "fLaC")) {
                return flac(start);
            }
            return begins(start, 0, "OggS") ? ogg(in, start) : mpeg(in);
        }
    }

    /** Which sound an Ogg file holds; empty where it holds a picture too, or something else. */
    static Optional<String> kindOfOgg(Path file) throws IOException {
        try (FileChannel in = FileChannel.open(file)) {
            ByteBuffer start = PartOfFile.read(in, 0, START);
            String text = StandardCharsets.ISO_8859_1.decode(start).toString();
            boolean sound = text.contains("OpusHead") || text.contains("\u0001vorbis");
            return sound && !text.contains("theora") ? Optional.of("audio/ogg") : Optional.empty();
        }
    }

    private static boolean begins(ByteBuffer bytes, int at, String with) {
        for (int i = 0; i < with.length(); i++) {
            if (at + i >= bytes.limit() || bytes.get(at + i) != with.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    private static Optional<Duration> played(double samples, double rate) {
        return samples > 0 && rate > 0
                ? Optional.of(Duration.ofMillis(Math.round(samples * 1_000 / rate)))
                : Optional.empty();
    }

    /** The first block says the rate in 20 bits and the number of samples in 36. */
    private static Optional<Duration> flac(ByteBuffer start) {
        if (start.limit() < 26) {
            return Optional.empty();
        }
        long packed = start.getLong(18);
        return played(packed & 0xF_FFFF_FFFFL, packed >>> 44);
    }

    /** The last page says how many samples there were until its end; of Opus always so many in 48,000 a second. */
    private static Optional<Duration> ogg(FileChannel in, ByteBuffer start) throws IOException {
        start.order(ByteOrder.LITTLE_ENDIAN);
        int head = 27 + (start.get(26) & 0xff);
        double rate;
        long skipped = 0;
        if (begins(start, head, "OpusHead")) {
            rate = 48_000;
            skipped = start.getShort(head + 10) & 0xffff;
        } else if (begins(start, head + 1, "vorbis")) {
            rate = start.getInt(head + 12);
        } else {
            return Optional.empty();
        }
        ByteBuffer end = PartOfFile.read(in, Math.max(0, in.size() - END), END).order(ByteOrder.LITTLE_ENDIAN);
        for (int at = end.limit() - 27; at >= 0; at--) {
            if (begins(end, at, "OggS")) {
                return played(end.getLong(at + 6) - skipped, rate);
            }
        }
        return Optional.empty();
    }

    private static Optional<Duration> mpeg(FileChannel in) throws IOException {
        ByteBuffer tag = PartOfFile.read(in, 0, 10);
        long from =
                begins(tag, 0, "ID3") ? 10 + (tag.get(6) << 21 | tag.get(7) << 14 | tag.get(8) << 7 | tag.get(9)) : 0;
        ByteBuffer start = PartOfFile.read(in, from, START);
        for (int at = 0; at + 200 < start.limit(); at++) {
            int header = start.getInt(at);
            if (isFrame(header)) {
                return length(start, at, header, in.size() - from - at);
            }
        }
        return Optional.empty();
    }

    /** Eleven bits set, a version there is, layer III, a bit rate and a sample rate there are. */
    private static boolean isFrame(int header) {
        return header >>> 21 == 0x7ff
                && (header >> 19 & 3) != 1
                && (header >> 17 & 3) == 1
                && (header >> 12 & 15) % 15 != 0
                && (header >> 10 & 3) != 3;
    }

    private static Optional<Duration> length(ByteBuffer start, int at, int header, long bytes) {
        int version = header >> 19 & 3;
        boolean first = version == 3;
        int rate = RATES[header >> 10 & 3] / (first ? 1 : version == 2 ? 2 : 4);
        int samples = first ? 1_152 : 576;
        boolean mono = (header >> 6 & 3) == 3;
        int side = first ? mono ? 17 : 32 : mono ? 9 : 17;
        int told = at + 4 + side;
        if ((begins(start, told, "Xing") || begins(start, told, "Info")) && (start.getInt(told + 4) & 1) != 0) {
            return played((double) start.getInt(told + 8) * samples, rate);
        }
        if (begins(start, at + 36, "VBRI")) {
            return played((double) start.getInt(at + 50) * samples, rate);
        }
        int kilobits = KILOBITS[first ? 0 : 1][header >> 12 & 15];
        return played(bytes * 8.0, kilobits * 1_000.0);
    }
}
