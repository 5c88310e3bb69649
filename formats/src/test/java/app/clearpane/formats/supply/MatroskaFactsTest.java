package app.clearpane.formats.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.clearpane.core.supply.Pixels;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Films put together by hand, an element in an element. */
class MatroskaFactsTest {
    private static final int[] HEAD = {0x1A, 0x45, 0xDF, 0xA3};
    private static final int[] SEGMENT = {0x18, 0x53, 0x80, 0x67};
    private static final int[] INFO = {0x15, 0x49, 0xA9, 0x66};
    private static final int[] TRACKS = {0x16, 0x54, 0xAE, 0x6B};
    private static final int[] CLUSTER = {0x1F, 0x43, 0xB6, 0x75};

    @TempDir
    Path folder;

    private static byte[] element(int[] id, byte[]... parts) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (byte[] part : parts) {
            body.writeBytes(part);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (int one : id) {
            out.write(one);
        }
        out.write(0x40 | body.size() >> 8);
        out.write(body.size());
        out.writeBytes(body.toByteArray());
        return out.toByteArray();
    }

    private static byte[] words(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    private static byte[] film(String type, byte[] track) {
        byte[] head = element(HEAD, element(new int[] {0x42, 0x82}, words(type)));
        byte[] info = element(
                INFO,
                element(new int[] {0x2A, 0xD7, 0xB1}, new byte[] {0x0F, 0x42, 0x40}),
                element(
                        new int[] {0x44, 0x89},
                        ByteBuffer.allocate(8).putDouble(12_500).array()));
        byte[] segment = element(SEGMENT, info, element(TRACKS, element(new int[] {0xAE}, track)), element(CLUSTER));
        return ByteBuffer.allocate(head.length + segment.length)
                .put(head)
                .put(segment)
                .array();
    }

    private static byte[] pictures(int width, int height) {
        return element(
                new int[] {0xE0},
                element(new int[] {0xB0}, new byte[] {(byte) (width >> 8), (byte) width}),
                element(new int[] {0xBA}, new byte[] {(byte) (height >> 8), (byte) height}));
    }

    private MatroskaFacts read(byte[] bytes) throws IOException {
        return MatroskaFacts.read(Files.write(folder.resolve("film"), bytes));
    }

    @Test
    void aFilmSaysHowLongAndHowLarge() throws IOException {
        MatroskaFacts film = read(film("webm", pictures(1_920, 1_080)));
        assertThat(film.mediaType()).isEqualTo("video/webm");
        assertThat(film.length()).contains(Duration.ofMillis(12_500));
        assertThat(film.frame()).contains(new Pixels(1_920, 1_080));
    }

    @Test
    void oneWithoutPicturesIsASound() throws IOException {
        MatroskaFacts sound = read(film("matroska", new byte[0]));
        assertThat(sound.mediaType()).isEqualTo("audio/x-matroska");
        assertThat(sound.frame()).isEmpty();
        assertThat(sound.length()).contains(Duration.ofMillis(12_500));
    }

    @Test
    void whatIsCutOffOrBrokenSaysLessAndNeverMore() throws IOException {
        byte[] whole = film("webm", pictures(320, 180));
        Random random = new Random(11);
        for (int cut = 0; cut < whole.length; cut++) {
            byte[] part = java.util.Arrays.copyOf(whole, cut);
            MatroskaFacts facts = read(part);
            facts.frame().ifPresent(found -> assertThat(found).isEqualTo(new Pixels(320, 180)));
            byte[] broken = whole.clone();
            broken[cut] = (byte) random.nextInt();
            assertThatCode(() -> read(broken)).doesNotThrowAnyException();
        }
    }
}
