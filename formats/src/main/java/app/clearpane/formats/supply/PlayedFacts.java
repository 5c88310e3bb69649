package app.clearpane.formats.supply;

import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Pixels;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.avi.AviDirectory;
import com.drew.metadata.mov.QuickTimeDirectory;
import com.drew.metadata.mov.media.QuickTimeVideoDirectory;
import com.drew.metadata.mp4.Mp4Directory;
import com.drew.metadata.mp4.media.Mp4VideoDirectory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.jspecify.annotations.Nullable;

/** How long something plays, and how large its frames are, read from what stands beside them. */
final class PlayedFacts {
    private PlayedFacts() {}

    static FileFacts read(Path file, String mediaType) throws IOException {
        if (mediaType.endsWith("matroska") || mediaType.endsWith("webm")) {
            MatroskaFacts found = MatroskaFacts.read(file);
            return played(file, mediaType, found.frame(), found.length());
        }
        Metadata told;
        try {
            told = ImageMetadataReader.readMetadata(file.toFile());
        } catch (ImageProcessingException nothingToldThere) {
            told = new Metadata();
        }
        Optional<Duration> length = length(told).or(() -> wave(file));
        return played(
                file,
                mediaType,
                frame(told),
                length.isEmpty() && mediaType.startsWith("audio/") ? SoundLength.of(file) : length);
    }

    private static FileFacts played(Path file, String mediaType, Optional<Pixels> frame, Optional<Duration> length)
            throws IOException {
        return new FileFacts(
                mediaType,
                Files.size(file),
                frame.map(size -> new FileFacts.Picture(size, Optional.empty(), Optional.empty())),
                Optional.empty(),
                length,
                false,
                false);
    }

    private static Optional<Duration> length(Metadata told) {
        return seconds(told.getFirstDirectoryOfType(Mp4Directory.class), Mp4Directory.TAG_DURATION_SECONDS)
                .or(() -> seconds(
                        told.getFirstDirectoryOfType(QuickTimeDirectory.class),
                        QuickTimeDirectory.TAG_DURATION_SECONDS))
                .or(() -> Optional.ofNullable(told.getFirstDirectoryOfType(AviDirectory.class))
                        .map(one -> one.getString(AviDirectory.TAG_DURATION))
                        .filter(text -> text.matches("\\d+:\\d\\d:\\d\\d"))
                        .map(PlayedFacts::clock));
    }

    private static Optional<Duration> seconds(@Nullable Directory directory, int tag) {
        return Optional.ofNullable(directory)
                .map(one -> one.getRational(tag))
                .map(found -> Duration.ofMillis(Math.round(found.doubleValue() * 1_000)));
    }

    private static Duration clock(String text) {
        String[] parts = text.split(":");
        return Duration.ofHours(Long.parseLong(parts[0]))
                .plusMinutes(Long.parseLong(parts[1]))
                .plusSeconds(Long.parseLong(parts[2]));
    }

    private static Optional<Duration> wave(Path file) {
        try {
            AudioFileFormat format = AudioSystem.getAudioFileFormat(file.toFile());
            float rate = format.getFormat().getFrameRate();
            return rate > 0 && format.getFrameLength() > 0
                    ? Optional.of(Duration.ofMillis(Math.round(format.getFrameLength() * 1_000.0 / rate)))
                    : Optional.empty();
        } catch (UnsupportedAudioFileException | IOException unknown) {
            return Optional.empty();
        }
    }

    private static Optional<Pixels> frame(Metadata told) {
        return pixels(
                        told.getFirstDirectoryOfType(Mp4VideoDirectory.class),
                        Mp4VideoDirectory.TAG_WIDTH,
                        Mp4VideoDirectory.TAG_HEIGHT)
                .or(() -> pixels(
                        told.getFirstDirectoryOfType(QuickTimeVideoDirectory.class),
                        QuickTimeVideoDirectory.TAG_WIDTH,
                        QuickTimeVideoDirectory.TAG_HEIGHT))
                .or(() -> pixels(
                        told.getFirstDirectoryOfType(AviDirectory.class),
                        AviDirectory.TAG_WIDTH,
                        AviDirectory.TAG_HEIGHT));
    }

    private static Optional<Pixels> pixels(@Nullable Directory directory, int width, int height) {
        if (directory == null) {
            return Optional.empty();
        }
        Integer across = directory.getInteger(width);
        Integer down = directory.getInteger(height);
        return across != null && down != null && across > 0 && down > 0
                ? Optional.of(new Pixels(across, down))
                : Optional.empty();
    }
}
