package app.clearpane.formats.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Lengths of sounds put together by hand, and of what only looks like one. */
class SoundLengthTest {
    @TempDir
    Path folder;

    private Optional<Duration> length(byte[] bytes) throws IOException {
        return SoundLength.of(Files.write(folder.resolve("sound"), bytes));
    }

    private static byte[] flac(int rate, long samples) {
        return ByteBuffer.allocate(42)
                .put("fLaC".getBytes(StandardCharsets.US_ASCII))
                .position(18)
                .putLong((long) rate << 44 | 0xF0L << 36 | samples)
                .array();
    }

    @Test
    void flacSaysItsSamples() throws IOException {
        assertThat(length(flac(44_100, 44_100 * 90L))).contains(Duration.ofSeconds(90));
        assertThat(length(flac(96_000, 0))).as("not known").isEmpty();
    }

    private static byte[] page(byte[] body, long samples) {
        ByteBuffer page = ByteBuffer.allocate(28 + body.length).order(ByteOrder.LITTLE_ENDIAN);
        page.put("OggS".getBytes(StandardCharsets.US_ASCII)).position(6);
        page.putLong(samples).position(26);
        return page.put((byte) 1).put((byte) body.length).put(body).array();
    }

    private static byte[] both(byte[] one, byte[] other) {
        return ByteBuffer.allocate(one.length + other.length)
                .put(one)
                .put(other)
                .array();
    }

    @Test
    void anOggSaysWhereItsLastPageEnds() throws IOException {
        byte[] vorbis = ByteBuffer.allocate(30)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put((byte) 1)
                .put("vorbis".getBytes(StandardCharsets.US_ASCII))
                .position(12)
                .putInt(44_100)
                .array();
        assertThat(length(both(page(vorbis, 0), page(new byte[9], 441_000)))).contains(Duration.ofSeconds(10));
        byte[] opus = ByteBuffer.allocate(19)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put("OpusHead".getBytes(StandardCharsets.US_ASCII))
                .position(10)
                .putShort((short) 312)
                .array();
        assertThat(length(both(page(opus, 0), page(new byte[9], 48_000 * 3 + 312))))
                .contains(Duration.ofSeconds(3));
        assertThat(length(both(page(new byte[20], 0), page(new byte[9], 48_000))))
                .as("of another kind")
                .isEmpty();
    }

    /** Layer III, 128 kbit/s, 44.1 kHz, stereo. */
    private static final int FRAME = 0xFFFB9000;

    @Test
    void anEvenRateTellsByItsSize() throws IOException {
        byte[] steady = ByteBuffer.allocate(160_000).putInt(FRAME).array();
        assertThat(length(steady)).contains(Duration.ofSeconds(10));
    }

    @Test
    void aVaryingRateCountsItsFrames() throws IOException {
        ByteBuffer varying = ByteBuffer.allocate(9_000).putInt(FRAME);
        varying.position(36)
                .put("Xing".getBytes(StandardCharsets.US_ASCII))
                .putInt(1)
                .putInt(3_829);
        assertThat(length(varying.array()).orElseThrow().toSeconds()).isEqualTo(100);
    }

    @Test
    void whatStandsBeforeTheFirstFrameIsPassedOver() throws IOException {
        ByteBuffer tagged = ByteBuffer.allocate(160_000 + 1_034)
                .put("ID3".getBytes(StandardCharsets.US_ASCII))
                .put(new byte[] {4, 0, 0, 0, 0, 8, 0});
        tagged.position(1_034).putInt(FRAME);
        assertThat(length(tagged.array())).contains(Duration.ofSeconds(10));
    }

    @Test
    void nothingThatIsThrownAtItBreaksIt() {
        Random random = new Random(7);
        for (String start : new String[] {"", "fLaC", "OggS", "ID3"}) {
            for (int i = 0; i < 60; i++) {
                byte[] bytes = new byte[random.nextInt(400)];
                random.nextBytes(bytes);
                byte[] all = both(start.getBytes(StandardCharsets.US_ASCII), bytes);
                assertThatCode(() -> FactsOfFile.read(Files.write(folder.resolve("thrown"), all)))
                        .doesNotThrowAnyException();
            }
        }
    }
}
