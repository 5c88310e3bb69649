package app.clearpane.formats.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.files.Inside;
import app.clearpane.formats.deliverable.UnusableFile;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.hslf.usermodel.HSLFSlideShow;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.sl.usermodel.Slide;
import org.apache.poi.sl.usermodel.SlideShow;
import org.apache.poi.sl.usermodel.TextBox;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is shown of files that have no pages to draw. */
class InsideOfFileTest {
    @TempDir
    Path folder;

    private Path text(String content) throws IOException {
        return Files.writeString(folder.resolve("text"), content);
    }

    private Path archive(Map<String, String> entries) throws IOException {
        Path file = folder.resolve("archive");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, String> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return file;
    }

    private static Inside.Part only(Inside inside) {
        assertThat(inside.parts()).hasSize(1);
        return inside.parts().get(0);
    }

    @Test
    void anArchiveSaysWhatLiesInItAndUnpacksNothing() throws Exception {
        Inside inside = InsideOfFile.read(archive(Map.of("maps/hill.txt", "0123456789")));
        assertThat(inside.shape()).isEqualTo(Inside.Shape.ARCHIVE);
        assertThat(only(inside).rows()).containsExactly(List.of("maps/hill.txt", "10"));
        assertThat(inside.more()).isFalse();
    }

    @Test
    void linesOfTextStandAsTheyWereWritten() throws Exception {
        Inside inside = InsideOfFile.read(text("{\n  \"hall\": 42\n\n}\n"));
        assertThat(only(inside).rows()).containsExactly(List.of("{"), List.of("\"hall\": 42"), List.of("}"));
    }

    @Test
    void rowsOfValuesAreATable() throws Exception {
        Inside inside = InsideOfFile.read(text("room;area\n\"hall; large\";42\nstairs;9\n"));
        assertThat(inside.shape()).isEqualTo(Inside.Shape.TABLE);
        assertThat(only(inside).rows())
                .containsExactly(List.of("room", "area"), List.of("hall; large", "42"), List.of("stairs", "9"));
    }

    @Test
    void whatIsTooLongIsCutAndSaid() throws Exception {
        Inside inside = InsideOfFile.read(text("a line of it\n".repeat(5_000)));
        assertThat(only(inside).rows()).hasSize(Inside.MOST_ROWS);
        assertThat(inside.more()).isTrue();
        assertThat(only(InsideOfFile.read(text("x".repeat(3_000_000))))
                        .rows()
                        .get(0)
                        .get(0))
                .hasSize(600)
                .endsWith("…");
    }

    @Test
    void sheetsOfBothKindsAreShownAsTheyLook() throws Exception {
        for (Workbook book : List.of(new XSSFWorkbook(), new HSSFWorkbook())) {
            fill(book);
            Inside inside = InsideOfFile.read(written("book", book::write));
            assertThat(inside.parts().get(0))
                    .isEqualTo(new Inside.Part(
                            "Rooms", List.of(List.of("hall", "42.50"), List.of(), List.of("", "due", "2027-03-24"))));
            assertThat(inside.parts()).as("the hidden one is not shown").hasSize(1);
        }
    }

    private static void fill(Workbook book) {
        Sheet sheet = book.createSheet("Rooms");
        sheet.createRow(0).createCell(0).setCellValue("hall");
        Cell area = sheet.getRow(0).createCell(1);
        area.setCellValue(42.5);
        area.setCellStyle(style(book, "0.00"));
        sheet.createRow(2).createCell(1).setCellValue("due");
        Cell due = sheet.getRow(2).createCell(2);
        due.setCellValue(java.time.LocalDate.of(2027, 3, 24));
        due.setCellStyle(style(book, "yyyy-mm-dd"));
        book.createSheet("Notes").createRow(0).createCell(0).setCellValue("not for you");
        book.setSheetHidden(1, true);
    }

    private static CellStyle style(Workbook book, String format) {
        CellStyle style = book.createCellStyle();
        style.setDataFormat(book.createDataFormat().getFormat(format));
        return style;
    }

    /** Writes something to a stream. */
    private interface Writing {
        void to(OutputStream out) throws IOException;
    }

    private Path written(String name, Writing what) throws IOException {
        Path file = folder.resolve(name);
        try (OutputStream out = Files.newOutputStream(file)) {
            what.to(out);
        }
        return file;
    }

    @Test
    void slidesOfBothKindsGiveTheirWords() throws Exception {
        for (SlideShow<?, ?> show : List.of(new XMLSlideShow(), new HSLFSlideShow())) {
            for (String words : List.of("The old wall", "Where we dig")) {
                Slide<?, ?> slide = show.createSlide();
                TextBox<?, ?> box = slide.createTextBox();
                box.setText(words);
            }
            Inside inside = InsideOfFile.read(written("show", show::write));
            assertThat(inside.parts())
                    .containsExactly(
                            new Inside.Part("Slide 1", List.of(List.of("The old wall"))),
                            new Inside.Part("Slide 2", List.of(List.of("Where we dig"))));
        }
    }

    @Test
    void openDocumentsAreReadToo() throws Exception {
        String table = "<table:table table:name='Rooms'><table:table-row><table:table-cell "
                + "table:number-columns-repeated='2'><text:p>hall</text:p></table:table-cell></table:table-row>"
                + "<table:table-row><table:table-cell table:number-columns-repeated='9000'/></table:table-row>"
                + "</table:table>";
        assertThat(only(openDocument("spreadsheet", table)))
                .isEqualTo(new Inside.Part("Rooms", List.of(List.of("hall", "hall"))));
        assertThat(only(openDocument("text", "<text:h>Old<text:s/>wall</text:h><text:p/><text:p>Dug</text:p>"))
                        .rows())
                .containsExactly(List.of("Old wall"), List.of("Dug"));
        assertThat(openDocument("presentation", "<draw:page><text:p>One</text:p></draw:page><draw:page/>")
                        .parts())
                .containsExactly(new Inside.Part("Slide 1", List.of(List.of("One"))));
    }

    private Inside openDocument(String kind, String body) throws Exception {
        String content = "<office:document-content xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0' "
                + "xmlns:table='urn:oasis:names:tc:opendocument:xmlns:table:1.0' "
                + "xmlns:draw='urn:oasis:names:tc:opendocument:xmlns:drawing:1.0' "
                + "xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'>" + body
                + "</office:document-content>";
        return InsideOfFile.read(
                archive(Map.of("mimetype", "application/vnd.oasis.opendocument." + kind, "content.xml", content)));
    }

    @Test
    void whatCannotBeShownIsSaid() throws Exception {
        Path picture = Files.write(folder.resolve("x.exe"), new byte[] {'M', 'Z', 0, 1, 2, 3});
        assertThatThrownBy(() -> InsideOfFile.read(picture))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("cannot be shown here");
        Path damaged = archive(Map.of(
                "mimetype", "application/vnd.oasis.opendocument.text", "content.xml", "<office:text><text:p>Old"));
        assertThatThrownBy(() -> InsideOfFile.read(damaged))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("damaged");
    }
}
