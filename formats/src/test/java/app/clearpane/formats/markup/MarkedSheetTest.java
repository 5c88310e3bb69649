package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MarkedSheetTest {
    private static final PageSize SIZE = new PageSize(1_000, 500);

    @TempDir
    private Path folder;

    private Path sheet;

    @BeforeEach
    void draw() throws IOException {
        BufferedImage white = new BufferedImage(1_000, 500, BufferedImage.TYPE_INT_RGB);
        white.createGraphics().fillRect(0, 0, 1_000, 500);
        sheet = folder.resolve("sheet.png");
        ImageIO.write(white, "png", sheet.toFile());
    }

    private static BufferedImage picture(byte[] png) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    @Test
    void drawsAMarkWhereItIs() throws IOException {
        BufferedImage drawn = picture(MarkedSheet.png(
                sheet, List.of(Marks.of(1, new Place.Rectangle(1, 0.3, 0.4, 0.2, 0.2), Intent.KEEP, SIZE))));
        assertThat(drawn.getRGB(300, 250) & 0xFFFFFF).as("its left edge").isEqualTo(0x47701F);
        assertThat(drawn.getRGB(500, 250) & 0xFFFFFF).as("its right edge").isEqualTo(0x47701F);
        assertThat(drawn.getRGB(400, 250) & 0xFFFFFF).as("its middle").isEqualTo(0xFFFFFF);
    }

    @Test
    void cutsOutAPlaceEvenAtACorner() throws IOException {
        BufferedImage cut = picture(MarkedSheet.cutOut(sheet, new Place.Point(1, 0, 0), 300));
        assertThat(cut.getWidth()).isBetween(150, 300);
        assertThat(cut.getHeight()).isEqualTo((int) (cut.getWidth() / 1.5));
    }

    @Test
    void writesSvgWithEveryMarkAndItsWordsAsText() throws IOException {
        List<Annotation> marks = Marks.ofEveryKind(3, 1, SIZE);
        Document svg = Jsoup.parse(MarkedSheet.svg(sheet, "image/png", 0.5, marks), Parser.xmlParser());
        assertThat(svg.select("g")).hasSize(6);
        assertThat(svg.select("title").eachText()).allMatch(title -> title.contains("with ä and “quotes”"));
        assertThat(svg.selectFirst("image").attr("href")).startsWith("data:image/png;base64,");
        assertThat(svg.selectFirst("svg").attr("viewBox")).isEqualTo("0 0 1000 500");
    }

    @Test
    void makesAPdfOfPicturesThatReadsBack() throws IOException {
        List<Annotation> marks = Marks.ofEveryKind(4, 2, SIZE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        MarkedSheet.pdf(List.of(sheet, sheet), marks, out);
        List<BroughtMark> read = PdfNotes.read(Files.write(folder.resolve("marked.pdf"), out.toByteArray()))
                .marks();
        assertThat(read).hasSameSizeAs(marks);
        for (int i = 0; i < marks.size(); i++) {
            assertThat(Marks.apart(marks.get(i).place(), read.get(i).place())).isLessThan(0.0005);
        }
    }

    @Test
    void writesNotesAsTablesThatSpreadsheetsDoNotRun() throws IOException {
        Annotation formula = aNoteLikeAFormula();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .parse(new java.io.StringReader(
                        NotesTable.csv(List.of(formula, Marks.of(2, new Place.Point(1, 0, 0), Intent.IDEA, SIZE)))))
                .getRecords();
        assertThat(rows.get(1).toList())
                .containsExactly(
                        "2·1",
                        "sheet 3",
                        "change",
                        "taken on",
                        "Jasper",
                        "1970-01-01T00:00:00Z",
                        "'=HYPERLINK(\"x\")",
                        "",
                        "");
        assertThat(rows.get(2).get(8)).isEqualTo("Teo: Yes");
        noSheetHoldsTheFormula(formula);
    }

    private Annotation aNoteLikeAFormula() throws IOException {
        Annotation formula = new Annotation(
                "urn:x",
                "2·1",
                new Place.Point(3, 0, 0),
                SIZE,
                Intent.CHANGE,
                app.clearpane.core.markup.MarkupProgress.TAKEN_ON,
                "=HYPERLINK(\"x\")",
                "Jasper",
                java.time.Instant.EPOCH,
                List.of(),
                java.util.Optional.empty());
        return formula;
    }

    private void noSheetHoldsTheFormula(Annotation formula) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        NotesTable.xlsx(List.of(formula), out);
        StringBuilder parts = new StringBuilder();
        try (ZipFile zip = new ZipFile(
                Files.write(folder.resolve("notes.xlsx"), out.toByteArray()).toFile())) {
            for (ZipEntry entry : zip.stream().toList()) {
                parts.append(
                        new String(zip.getInputStream(entry).readAllBytes(), java.nio.charset.StandardCharsets.UTF_8));
            }
        }
        assertThat(parts.toString()).contains("HYPERLINK").doesNotContain("<f>");
    }
}
