package app.clearpane.formats.clearance;

import gov.loc.repository.bagit.creator.BagCreator;
import gov.loc.repository.bagit.domain.Metadata;
import gov.loc.repository.bagit.hash.StandardSupportedAlgorithms;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** A release bundle (R7): a BagIt 1.0 bag (RFC 8493) with SHA-256 manifests, zipped under one folder. */
public final class ReleaseBag {
    private static final String README = """
      To check that nothing here was altered, unpack this and, in its folder, run: java data/Verify.java (Java 17 or newer)
      The same by hand: sha256sum -c manifest-sha256.txt && sha256sum -c tagmanifest-sha256.txt
      """;

    private ReleaseBag() {}

    /**
     * What goes in.
     *
     * @param folder the bag's name, without path
     * @param released the released file
     * @param releasedName its name in the bag, without path
     * @param certificate the certificate, PDF
     * @param marks Web Annotation JSON-LD
     * @param record the Record's entries, one JSON object a line
     */
    public record Contents(
            String folder,
            Path released,
            String releasedName,
            byte[] certificate,
            String marks,
            String record,
            String organisation,
            Instant at) {}

    /**
     * Writes the zipped bag.
     *
     * @param workshop an empty folder to build it in; emptied again
     */
    public static void write(Contents contents, Path workshop, OutputStream out) throws IOException {
        Path bag = Files.createDirectories(workshop.resolve(contents.folder()));
        try {
            Path released = Files.createDirectories(bag.resolve("released"));
            Files.copy(contents.released(), released.resolve(contents.releasedName()));
            Files.write(bag.resolve("certificate.pdf"), contents.certificate());
            Files.writeString(bag.resolve("marks.jsonld"), contents.marks(), StandardCharsets.UTF_8);
            Files.writeString(bag.resolve("record.jsonl"), contents.record(), StandardCharsets.UTF_8);
            addVerifier(bag);
            BagCreator.bagInPlace(bag, List.of(StandardSupportedAlgorithms.SHA256), false, metadata(contents));
            amend(bag, contents);
            zip(workshop, bag, out);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        } finally {
            empty(workshop);
        }
    }

    /** A program of one file that checks the bundle with nothing but Java, and two lines that say how. */
    private static void addVerifier(Path bag) throws IOException {
        try (InputStream program =
                Objects.requireNonNull(ReleaseBag.class.getResourceAsStream("/bundle/Verify.java"))) {
            Files.copy(program, bag.resolve("Verify.java"));
        }
        Files.writeString(bag.resolve("README.txt"), README, StandardCharsets.UTF_8);
    }

    private static Metadata metadata(Contents contents) {
        Metadata metadata = new Metadata();
        metadata.add("Source-Organization", contents.organisation());
        metadata.add("External-Description", "Release of " + contents.releasedName());
        metadata.add("Bagging-Date", day(contents));
        return metadata;
    }

    /**
     * What the one who bags leaves otherwise than it should be: the date of the contents, and per cent signs in names
     * written as RFC 8493 (2.1.3) says. The tags are summed up again.
     */
    private static void amend(Path bag, Contents contents) throws IOException, NoSuchAlgorithmException {
        Path info = bag.resolve("bag-info.txt");
        Files.writeString(
                info, Files.readString(info).replaceAll("(?m)^Bagging-Date:.*$", "Bagging-Date: " + day(contents)));
        Path manifest = bag.resolve("manifest-sha256.txt");
        Files.writeString(manifest, Files.readString(manifest).replace("%", "%25"));
        Path tags = bag.resolve("tagmanifest-sha256.txt");
        StringBuilder summed = new StringBuilder();
        for (String line : Files.readAllLines(tags)) {
            String name = line.substring(line.indexOf(' ')).strip();
            summed.append(HexFormat.of()
                            .formatHex(
                                    MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(bag.resolve(name)))))
                    .append("  ")
                    .append(name)
                    .append('\n');
        }
        Files.writeString(tags, summed);
    }

    private static String day(Contents contents) {
        return contents.at().atOffset(ZoneOffset.UTC).toLocalDate().toString();
    }

    private static void zip(Path root, Path bag, OutputStream out) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
                Stream<Path> files = Files.walk(bag)) {
            for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                zip.putNextEntry(new ZipEntry(root.relativize(file).toString().replace('\\', '/')));
                Files.copy(file, zip);
                zip.closeEntry();
            }
        }
    }

    private static void empty(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            all.sorted(Comparator.reverseOrder())
                    .filter(path -> !path.equals(folder))
                    .forEach(path -> {
                        try {
                            Files.delete(path);
                        } catch (IOException e) {
                            throw new UncheckedIOException(e);
                        }
                    });
        }
    }
}
