package app.clearpane.formats.apart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.formats.markup.Annotation;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files are drawn in a process of their own, as they would be here, and nothing that is in them keeps others from being
 * drawn.
 */
class DrawApartTest {
    @TempDir
    private Path folder;

    private DrawApart apart = new DrawApart(Duration.ofMinutes(30));

    @AfterEach
    void end() {
        apart.close();
    }

    private Path plain(int pages) throws IOException {
        Path file = folder.resolve("plain-" + pages + ".pdf");
        try (PDDocument document = new PDDocument()) {
            for (int i = 0; i < pages; i++) {
                PDPage page = new PDPage(PDRectangle.A5);
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.addRect(20 + 10 * i, 30, 100, 200);
                    content.fill();
                }
            }
            document.save(file.toFile());
        }
        return file;
    }

    /**
     * A form that draws another ten times, which draws another ten times, and so on: 10^12 rectangles in two kilobytes.
     */
    private Path endless() throws IOException {
        Path file = folder.resolve("endless.pdf");
        try (PDDocument document = new PDDocument()) {
            PDFormXObject inner = form(document, null, "0 0 5 5 re f ");
            for (int level = 0; level < 12; level++) {
                inner = form(document, inner, "/F Do ".repeat(10));
            }
            PDPage page = new PDPage(PDRectangle.A5);
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.drawForm(inner);
            }
            document.save(file.toFile());
        }
        return file;
    }

    private static PDFormXObject form(PDDocument document, PDFormXObject inner, String content) throws IOException {
        PDFormXObject form = new PDFormXObject(document);
        form.setBBox(new PDRectangle(0, 0, 400, 500));
        PDResources resources = new PDResources();
        if (inner != null) {
            resources.put(COSName.getPDFName("F"), inner);
        }
        form.setResources(resources);
        try (var out = form.getContentStream().createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.US_ASCII));
        }
        return form;
    }

    private List<Work.DrawnPage> drawn(Path file, int from) throws Exception {
        List<Work.DrawnPage> pages = new ArrayList<>();
        apart.draw(new Wish.Draw(file, "application/pdf", from), pages::add);
        return pages;
    }

    @Test
    void drawsWhatWouldBeDrawnHere() throws Exception {
        Path file = plain(3);
        assertThat(apart.open(new Wish.Open(file, "plain.pdf"))).isEqualTo(new Wish.Opened("application/pdf", 3));
        List<Work.DrawnPage> here = new ArrayList<>();
        Work.known(file, "application/pdf").draw(2, here::add);
        List<Work.DrawnPage> there = drawn(file, 2);
        assertThat(there).hasSize(2);
        for (int i = 0; i < 2; i++) {
            assertThat(there.get(i)).usingRecursiveComparison().isEqualTo(here.get(i));
        }
        squaresAreCutAlike(file);
        assertThat(apart.pictures(new Wish.Squares(file, "application/pdf", new Wish.Rows(9, 3_200, 0, 200, 900)))
                        .pictures())
                .isEmpty();
    }

    private void squaresAreCutAlike(Path file) throws Exception {
        List<byte[]> squares = apart.pictures(
                        new Wish.Squares(file, "application/pdf", new Wish.Rows(1, 3_200, 800, 200, 900)))
                .pictures();
        BufferedImage same =
                Work.known(file, "application/pdf").strip(1, 3_200, 800, 200).orElseThrow();
        assertThat(squares).hasSize(4);
        for (int i = 0; i < 4; i++) {
            BufferedImage square = ImageIO.read(new ByteArrayInputStream(squares.get(i)));
            assertThat(square.getWidth()).isEqualTo(i < 3 ? 900 : 500);
            assertThat(square.getHeight()).isEqualTo(200);
            for (int x = 10; x < square.getWidth(); x += 70) {
                assertThat(square.getRGB(x, 100) & 0xFF)
                        .as("square %s at %s, JPEG near enough", i, x)
                        .isCloseTo(same.getRGB(900 * i + x, 100) & 0xFF, org.assertj.core.data.Offset.offset(12));
            }
        }
    }

    @Test
    void whatCannotBeLookedAtIsSaidAndTheNextFileIsDrawn() throws Exception {
        Path broken = Files.writeString(folder.resolve("broken.pdf"), "%PDF-1.7 and nothing more");
        assertThatThrownBy(() -> apart.open(new Wish.Open(broken, "broken.pdf")))
                .isInstanceOf(UnusableFile.class);
        assertThatThrownBy(() -> apart.open(new Wish.Open(folder.resolve("gone.pdf"), "gone.pdf")))
                .isInstanceOf(IOException.class);
        assertThat(drawn(plain(1), 1)).hasSize(1);
    }

    @Test
    void whatTakesTooLongIsStoppedAndSaidAndTheNextFileIsDrawn() throws Exception {
        List<ProcessHandle> drawing = new ArrayList<>();
        try (DrawApart impatient = new DrawApart(Duration.ofSeconds(4))) {
            impatient.warmUp();
            ProcessHandle.current().children().forEach(drawing::add);
            assertThatThrownBy(() -> impatient.draw(new Wish.Draw(endless(), "application/pdf", 1), page -> {}))
                    .isInstanceOf(UnusableFile.class)
                    .hasMessageContaining("longer than 4 seconds")
                    .hasMessageContaining("so we stopped");
            assertThat(drawing).isNotEmpty();
            drawing.forEach(one -> one.onExit().join());
        }
        assertThat(drawn(plain(2), 1)).hasSize(2);
    }

    @Test
    void aProcessThatDiesIsSaidAndTheNextFileIsDrawn() throws Exception {
        Path file = plain(60);
        assertThatThrownBy(() -> apart.draw(
                        new Wish.Draw(file, "application/pdf", 1),
                        page -> ProcessHandle.current().children().forEach(ProcessHandle::destroyForcibly)))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("could not be drawn");
        assertThat(drawn(file, 60)).hasSize(1);
    }

    private Path picture(String name, int left) throws IOException {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 400; x++) {
            for (int y = 0; y < 300; y++) {
                image.setRGB(x, y, x > left && x < left + 60 && y > 100 && y < 180 ? 0x14706A : 0xF7F4EC);
            }
        }
        Path file = folder.resolve(name);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    @Test
    void whatAFileIsIsFoundOutThere() throws Exception {
        Path pdf = plain(2);
        assertThat(apart.facts(new Wish.Facts(pdf))).isEqualTo(new Wish.Facts(pdf).granted(piece -> {}));
        Path picture = picture("found.png", 40);
        assertThat(apart.facts(new Wish.Facts(picture)).picture()).isPresent();
    }

    @Test
    void whateverIsWishedIsWhatWouldComeOfItHere() throws Exception {
        Path before = picture("before.png", 40);
        Path after = picture("after.png", 200);
        Path pdf = plain(2);
        List<Annotation> marks = anAnsweredArrow();
        comparisonsAreAlike(before, after, pdf);
        assertThat(apart.colours(new Wish.Colours(before))).isEqualTo(new Wish.Colours(before).granted(piece -> {}));
        Wish.Frames frames = new Wish.Frames(Files.readAllBytes(before), Files.readAllBytes(after), 1_000_000);
        assertThat(apart.changes(frames)).isEqualTo(frames.granted(piece -> {}));
        marksAreDrawnAlike(before, after, marks);
        whatIsWrittenIsReadAlike(before, after, pdf, marks);
        Path text = Files.writeString(folder.resolve("text.md"), "# Hall one\n\nThe *oldest* wall.\n");
        assertThat(apart.writing(new Wish.Read(text, "text/markdown")))
                .isEqualTo(new Wish.Read(text, "text/markdown").granted(piece -> {}));
    }

    private List<Annotation> anAnsweredArrow() throws Exception {
        List<Annotation> marks = List.of(new Annotation(
                "urn:uuid:1",
                "1·1",
                new Place.Arrow(1, 0.1, 0.2, 0.3, 0.4),
                new PageSize(420, 595),
                Intent.CHANGE,
                MarkupProgress.OPEN,
                "Further left",
                "Ottoline Vance",
                Instant.parse("2027-03-24T10:00:00Z"),
                List.of(new Annotation.Reply("Yes", "Ines Marchetti", Instant.parse("2027-03-24T11:00:00Z"))),
                Optional.of("left")));
        return marks;
    }

    private void comparisonsAreAlike(Path before, Path after, Path pdf) throws Exception {
        ComparedFile.Sheet one = new ComparedFile.Sheet(before, before);
        ComparedFile.Sheet other = new ComparedFile.Sheet(after, after);
        Wish.Compare compare = new Wish.Compare(
                new ComparedFile(List.of(one, one), Optional.empty()),
                new ComparedFile(List.of(other, one), Optional.empty()));
        List<Wish.Compared> steps = new ArrayList<>();
        assertThat(apart.compare(compare, steps::add)).isEqualTo(compare.granted(piece -> {}));
        assertThat(steps).isNotEmpty();
        Wish.Compare words = new Wish.Compare(
                new ComparedFile(List.of(one), Optional.of(pdf)), new ComparedFile(List.of(other), Optional.of(pdf)));
        assertThat(apart.compare(words, piece -> {})).isEqualTo(words.granted(piece -> {}));
    }

    private void marksAreDrawnAlike(Path before, Path after, List<Annotation> marks) throws Exception {
        assertThat(apart.pictures(new Wish.MarkedPicture(before, marks))
                        .pictures()
                        .get(0))
                .isEqualTo(new Wish.MarkedPicture(before, marks)
                        .granted(piece -> {})
                        .pictures()
                        .get(0));
        Wish.CutOuts cutOuts = new Wish.CutOuts(
                List.of(
                        new Wish.At(
                                before,
                                new Place.Moment(1, 2, Optional.of(new Place.Rectangle(1, 0.2, 0.2, 0.3, 0.3)))),
                        new Wish.At(after, marks.get(0).place())),
                200);
        assertThat(apart.pictures(cutOuts).pictures().get(1))
                .isEqualTo(cutOuts.granted(piece -> {}).pictures().get(1));
    }

    private void whatIsWrittenIsReadAlike(Path before, Path after, Path pdf, List<Annotation> marks) throws Exception {
        Path marked = folder.resolve("marked.pdf");
        apart.write(new Wish.AnnotatedPdf(pdf, marks, marked));
        Wish.Notes notes = new Wish.Notes(marked, Optional.of(pdf));
        assertThat(apart.notes(notes)).isEqualTo(notes.granted(piece -> {}));
        assertThat(apart.notes(notes).read().marks()).hasSize(1);
        apart.write(new Wish.SheetsAsPdf(List.of(before, after), marks, marked));
        assertThat(apart.open(new Wish.Open(marked, "marked.pdf")).pages()).isEqualTo(2);
    }

    @Test
    void whatIsInAFileIsItsOwnFaultAndAMissingFileIsNot() throws Exception {
        Path noPicture = Files.writeString(folder.resolve("no.png"), "no picture at all");
        assertThatThrownBy(() -> apart.colours(new Wish.Colours(noPicture)))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("could not be read");
        assertThatThrownBy(() -> apart.colours(new Wish.Colours(folder.resolve("gone.png"))))
                .isInstanceOf(IOException.class);
        assertThat(apart.colours(new Wish.Colours(picture("good.png", 10))).colours())
                .isNotEmpty();
    }

    @Test
    void whatNobodyWantsAnyMoreEnds() throws Exception {
        List<ProcessHandle> drawing = new ArrayList<>();
        assertThatThrownBy(() -> apart.draw(new Wish.Draw(plain(40), "application/pdf", 1), page -> {
                    ProcessHandle.current().children().forEach(drawing::add);
                    throw new IOException("nobody wants it");
                }))
                .hasMessage("nobody wants it");
        drawing.forEach(one -> one.onExit().join());
    }

    @Test
    void processesStandBehindEverythingElseAndHaveNoNetwork() throws Exception {
        assumeTrue(
                Files.isDirectory(Path.of("/proc/self/ns")) && Command.withoutNetwork(),
                "this system lets nobody be cut off from its network");
        apart.warmUp();
        ProcessHandle process = ProcessHandle.current().children().findFirst().orElseThrow();
        apart.open(new Wish.Open(plain(1), "plain.pdf"));
        assertThat(Files.readSymbolicLink(Path.of("/proc/" + process.pid() + "/ns/net")))
                .isNotEqualTo(Files.readSymbolicLink(Path.of("/proc/self/ns/net")));
        String[] fields = Files.readString(Path.of("/proc/" + process.pid() + "/stat"))
                .replaceFirst("^.*\\) ", "")
                .split(" ");
        assertThat(Integer.parseInt(fields[16])).as("its nice value").isGreaterThanOrEqualTo(10);
    }

    @Test
    void aHouseThatStopsEndsWhatIsDrawnAndSaysNothingAgainstItsFile() throws Exception {
        Path file = plain(60);
        assertThatThrownBy(() -> apart.draw(new Wish.Draw(file, "application/pdf", 1), page -> apart.close()))
                .isInstanceOf(java.io.InterruptedIOException.class);
    }
}
