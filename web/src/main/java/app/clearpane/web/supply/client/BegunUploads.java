package app.clearpane.web.supply.client;

import app.clearpane.core.agency.ContactId;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Who began which upload and did not finish it. An empty file stands for each, and its name says everything: what an
 * upload keeps of itself is locked while it is written to, and nobody who only counts may be in its way.
 */
class BegunUploads {
    private static final Pattern NAME = Pattern.compile("([0-9a-f-]+)_([0-9a-f-]+)_(\\d{1,18})");

    private final Path folder;
    private final Path uploads;

    /** @param uploads where each upload has a folder that is called by its identity */
    BegunUploads(Path folder, Path uploads) {
        this.folder = folder;
        this.uploads = uploads;
    }

    /** How many one has begun, and of how many bytes they will be together. */
    record Tally(int count, long bytes) {}

    void note(ContactId who, String upload, long bytes) throws IOException {
        Files.createDirectories(folder);
        Path made = folder.resolve(who + "_" + upload + "_" + bytes);
        if (NAME.matcher(made.getFileName().toString()).matches()) {
            Files.write(made, new byte[0]);
        }
    }

    /** It is whole, or was dropped. */
    void strike(String upload) throws IOException {
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder)) {
            for (Path one : all) {
                Matcher name = NAME.matcher(one.getFileName().toString());
                if (name.matches() && name.group(2).equals(upload)) {
                    Files.deleteIfExists(one);
                }
            }
        } catch (NoSuchFileException noneYet) {
            return;
        }
    }

    /** What they began; of what was dropped since, nothing stays. */
    Tally tally(ContactId who) throws IOException {
        int count = 0;
        long bytes = 0;
        try (DirectoryStream<Path> all = Files.newDirectoryStream(folder)) {
            for (Path one : all) {
                Matcher name = NAME.matcher(one.getFileName().toString());
                if (!name.matches() || !name.group(1).equals(who.toString())) {
                    continue;
                }
                if (Files.isDirectory(uploads.resolve(name.group(2)))) {
                    count++;
                    bytes += Long.parseLong(name.group(3));
                } else {
                    Files.deleteIfExists(one);
                }
            }
        } catch (NoSuchFileException noneYet) {
            return new Tally(0, 0);
        }
        return new Tally(count, bytes);
    }
}
