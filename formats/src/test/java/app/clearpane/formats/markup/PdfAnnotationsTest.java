package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationHighlight;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PdfAnnotationsTest {
    private static final PageSize SIZE = new PageSize(595, 842);

    @TempDir
    private Path folder;

    private interface Making {
        void of(PDDocument document) throws IOException;
    }

    private Path pdf(String name, Making making) throws IOException {
        Path file = folder.resolve(name);
        try (PDDocument document = new PDDocument()) {
            making.of(document);
            document.save(file.toFile());
        }
        return file;
    }

    private Path marked(Path pdf, List<Annotation> marks) throws IOException {
        Path out = folder.resolve("marked.pdf");
        try (OutputStream stream = Files.newOutputStream(out)) {
            PdfAnnotations.write(pdf, marks, stream);
        }
        return out;
    }

    @ParameterizedTest(name = "turned by {0}, crop box at {1} {2}, {3} × {4}, seed {5}")
    @CsvSource({
        "0, 0, 0, 595, 842, 1",
        "90, 0, 0, 595, 842, 2",
        "180, 0, 0, 595, 842, 3",
        "270, 0, 0, 595, 842, 4",
        "0, 40, 60, 400, 500, 5",
        "90, 40, 60, 400, 500, 6",
        "270, -20, 15, 300, 700, 7",
        "180, 100, 0, 200, 200, 8"
    })
    void bringsEveryKindOfMarkBackToItsPlace(int turn, float left, float bottom, float width, float height, long seed)
            throws IOException {
        Path pdf = pdf("plain.pdf", document -> {
            for (int i = 0; i < 2; i++) {
                PDPage page = new PDPage(new PDRectangle(-100, -100, 1_000, 1_200));
                page.setCropBox(new PDRectangle(left, bottom, width, height));
                page.setRotation(turn);
                document.addPage(page);
            }
        });
        List<Annotation> marks = Marks.ofEveryKind(seed, 2, SIZE);
        BroughtMark.Read read = PdfNotes.read(marked(pdf, marks));
        assertThat(read.skipped()).isEmpty();
        assertThat(read.marks()).hasSameSizeAs(marks);
        for (int i = 0; i < marks.size(); i++) {
            assertThat(Marks.apart(marks.get(i).place(), read.marks().get(i).place()))
                    .as(marks.get(i).place() + " against " + read.marks().get(i).place())
                    .isLessThan(0.0005);
            assertThat(read.marks().get(i))
                    .extracting(BroughtMark::origin, BroughtMark::intent, BroughtMark::note, BroughtMark::author)
                    .containsExactly(
                            marks.get(i).id(),
                            marks.get(i).intent(),
                            marks.get(i).note(),
                            marks.get(i).author());
        }
    }

    @Test
    void writesAnswersAndTheStateOfReviewAndAnAppearanceForEachShape() throws IOException {
        Path pdf = pdf("plain.pdf", document -> document.addPage(new PDPage(PDRectangle.A4)));
        List<Annotation> marks = Marks.ofEveryKind(9, 1, SIZE);
        try (PDDocument document = Loader.loadPDF(marked(pdf, marks).toFile())) {
            List<PDAnnotationMarkup> all = new ArrayList<>();
            for (PDAnnotation annotation : document.getPage(0).getAnnotations()) {
                all.add((PDAnnotationMarkup) annotation);
            }
            assertThat(all.stream().filter(a -> !a.getCOSObject().containsKey(COSName.IRT)))
                    .hasSize(6)
                    .allSatisfy(a ->
                            assertThat(a.getAppearance()).as(a.getSubtype()).isNotNull());
            assertThat(all.stream()
                            .filter(a -> a.getCOSObject().containsKey(COSName.IRT) && "Yes".equals(a.getContents())))
                    .hasSize(3);
            assertThat(all.stream()
                            .filter(a -> a instanceof PDAnnotationText text && text.getState() != null)
                            .map(a -> ((PDAnnotationText) a).getState()))
                    .containsExactlyInAnyOrder("Accepted", "Completed", "Completed", "Rejected", "Cancelled");
        }
    }

    @Test
    void leavesOutMarksOnPagesThatAreNotThere() throws IOException {
        Path pdf = pdf("plain.pdf", document -> document.addPage(new PDPage(PDRectangle.A4)));
        assertThat(PdfNotes.read(marked(pdf, List.of(Marks.of(1, new Place.Point(7, 0.5, 0.5), Intent.CHANGE, SIZE))))
                        .marks())
                .isEmpty();
    }

    @Test
    void readsWhatOthersWroteAndSkipsWhatIsNoNote() throws IOException {
        Path pdf = ofAnother();
        BroughtMark.Read read = PdfNotes.read(pdf);
        assertThat(read.marks()).hasSize(1);
        assertThat(read.marks().get(0).intent()).isEqualTo(Intent.CHANGE);
        assertThat(read.marks().get(0).place()).isInstanceOf(Place.Rectangle.class);
        assertThat(read.marks().get(0).place().centreX())
                .isCloseTo(200 / PDRectangle.A4.getWidth(), org.assertj.core.data.Offset.offset(0.001));
        assertThat(read.skipped())
                .hasSize(2)
                .anyMatch(reason -> reason.contains("says nothing"))
                .anyMatch(reason -> reason.contains("between 0 and 1"));
        assertThat(PdfNotes.read(pdf).marks().get(0).origin())
                .as("the same each time")
                .isEqualTo(read.marks().get(0).origin());
    }

    private Path ofAnother() throws IOException {
        Path pdf = pdf("foreign.pdf", document -> {
            PDPage page = new PDPage(PDRectangle.A4);
            document.addPage(page);
            PDAnnotationHighlight highlight = new PDAnnotationHighlight();
            highlight.setRectangle(new PDRectangle(100, 700, 200, 14));
            highlight.setQuadPoints(new float[] {100, 714, 300, 714, 100, 700, 300, 700});
            highlight.setContents("This word is wrong");
            PDAnnotationText silent = new PDAnnotationText();
            silent.setRectangle(new PDRectangle(10, 10, 20, 20));
            PDAnnotationText outside = new PDAnnotationText();
            outside.setRectangle(new PDRectangle(2_000, 10, 20, 20));
            outside.setContents("Lost");
            page.setAnnotations(List.of(highlight, silent, outside, new PDAnnotationLink()));
        });
        return pdf;
    }

    @Test
    void refusesWhatIsNoPdf() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.pdf"), "no PDF at all");
        assertThatThrownBy(() -> PdfNotes.read(text)).isInstanceOf(IOException.class);
    }
}
