package app.clearpane.formats.deliverable;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;

/** How loud a WAV file is from its beginning to its end. */
final class WavePeaks {
    private static final int CHUNK = 1 << 16;

    private WavePeaks() {}

    /**
     * The loudest sample of each of so many equal parts.
     *
     * @return each 0 to 1; none if the samples cannot be read
     */
    static double[] of(Path file, int parts) {
        try (AudioInputStream in =
                AudioSystem.getAudioInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            AudioFormat format = in.getFormat();
            long frames = in.getFrameLength();
            if (format.getSampleSizeInBits() != 16
                    || !format.getEncoding().equals(AudioFormat.Encoding.PCM_SIGNED)
                    || frames <= 0) {
                return new double[0];
            }
            return peaks(in, format, frames, parts);
        } catch (UnsupportedAudioFileException | IOException | IllegalArgumentException unreadable) {
            return new double[0];
        }
    }

    private static double[] peaks(AudioInputStream in, AudioFormat format, long frames, int parts) throws IOException {
        double[] peaks = new double[parts];
        int frameSize = format.getFrameSize();
        byte[] chunk = new byte[CHUNK / frameSize * frameSize];
        long at = 0;
        for (int read = in.readNBytes(chunk, 0, chunk.length); read > 0; read = in.readNBytes(chunk, 0, chunk.length)) {
            for (int i = 0; i + 1 < read; i += 2) {
                int low = format.isBigEndian() ? chunk[i + 1] : chunk[i];
                int high = format.isBigEndian() ? chunk[i] : chunk[i + 1];
                int part = (int) Math.min(parts - 1, (at + i / frameSize) * parts / frames);
                peaks[part] = Math.max(peaks[part], Math.abs(high << 8 | low & 255) / 32_768.0);
            }
            at += read / frameSize;
        }
        return peaks;
    }
}
