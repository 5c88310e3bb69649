package app.clearpane.formats.deliverable;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** A document of an office program, of which the first page is drawn where such a program is installed. */
public record OfficeWork(Path file, String mediaType) implements Work {
    private static final int SECONDS = 90;
    private static final String OOXML = "application/vnd.openxmlformats-officedocument.";
    private static final String OPEN_DOCUMENT = "application/vnd.oasis.opendocument.";
    private static final Set<String> KINDS = Set.of(
            OOXML + "wordprocessingml.document",
            OOXML + "spreadsheetml.sheet",
            OOXML + "presentationml.presentation",
            OPEN_DOCUMENT + "text",
            OPEN_DOCUMENT + "spreadsheet",
            OPEN_DOCUMENT + "presentation",
            "application/msword",
            "application/vnd.ms-excel",
            "application/vnd.ms-powerpoint",
            "application/rtf");
    private static final Path TIMEOUT = Path.of("/usr/bin/timeout");
    private static final Optional<Path> PROGRAM = Stream.of("/usr/bin/soffice", "/usr/local/bin/soffice")
            .map(Path::of)
            .filter(Files::isExecutable)
            .findFirst();

    /** Whether a media type is one of those it takes. */
    public static boolean is(String mediaType) {
        return KINDS.contains(mediaType);
    }

    /** Whether first pages of them are drawn here. */
    public static boolean isDrawnHere() {
        return PROGRAM.isPresent();
    }

    static OfficeWork open(Path file, String mediaType) throws UnusableFile {
        if (!isDrawnHere() || !is(mediaType)) {
            throw new UnusableFile("Files of type " + mediaType + " cannot be looked at.");
        }
        return new OfficeWork(file, mediaType);
    }

    @Override
    public int pages() {
        return 1;
    }

    /** Draws its first page. The program runs without the settings of anybody, in a folder that is deleted after. */
    @Override
    public void draw(int fromPage, Taker taker) throws IOException, UnusableFile {
        Path folder = Files.createTempDirectory("office");
        try {
            Path given = Files.createSymbolicLink(folder.resolve("given"), file.toAbsolutePath());
            run(given, folder);
            Path pdf = folder.resolve("given.pdf");
            if (!Files.exists(pdf)) {
                throw new UnusableFile("Its first page could not be drawn.");
            }
            PdfWork.open(pdf).draw(1, page -> {
                if (page.page() == 1) {
                    taker.take(page);
                }
            });
        } finally {
            delete(folder);
        }
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path one : (Iterable<Path>) all.sorted(Comparator.reverseOrder())::iterator) {
                Files.deleteIfExists(one);
            }
        }
    }

    private static void run(Path given, Path folder) throws IOException {
        List<String> command = new ArrayList<>();
        if (Files.isExecutable(TIMEOUT)) {
            command.addAll(List.of(TIMEOUT.toString(), "--signal=KILL", "" + SECONDS));
        }
        command.addAll(List.of(
                PROGRAM.orElseThrow().toString(),
                "-env:UserInstallation=" + folder.resolve("settings").toUri(),
                "--headless",
                "--norestore",
                "--convert-to",
                "pdf",
                "--outdir",
                folder.toString(),
                given.toString()));
        Process running = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            if (!running.waitFor(SECONDS, TimeUnit.SECONDS)) {
                running.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            running.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) {
        return Optional.empty();
    }
}
