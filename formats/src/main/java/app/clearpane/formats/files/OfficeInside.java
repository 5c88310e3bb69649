package app.clearpane.formats.files;

import app.clearpane.core.files.Inside;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javax.swing.text.BadLocationException;
import javax.swing.text.Document;
import javax.swing.text.rtf.RTFEditorKit;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.extractor.WordExtractor;
import org.apache.poi.sl.usermodel.Shape;
import org.apache.poi.sl.usermodel.ShapeContainer;
import org.apache.poi.sl.usermodel.Slide;
import org.apache.poi.sl.usermodel.SlideShow;
import org.apache.poi.sl.usermodel.SlideShowFactory;
import org.apache.poi.sl.usermodel.TableShape;
import org.apache.poi.sl.usermodel.TextShape;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.usermodel.WorkbookFactory;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;

/** Documents of office programs, of the newer kind, the older one, and OpenDocument. */
final class OfficeInside {
    private static final long LARGEST = 40_000_000;
    private static final int WIDEST = 200;

    private OfficeInside() {}

    static Inside text(Path file, String mediaType) throws IOException {
        if (OpenDocument.is(mediaType)) {
            return OpenDocument.read(file, Inside.Shape.TEXT);
        }
        Inside.Reader reader = new Inside.Reader(Inside.Shape.TEXT);
        reader.begins("");
        for (String paragraph : paragraphs(small(file), mediaType)) {
            if (!reader.line(paragraph)) {
                break;
            }
        }
        return reader.whole();
    }

    private static List<String> paragraphs(Path file, String mediaType) throws IOException {
        if (mediaType.equals("application/rtf")) {
            return ofRichText(file);
        }
        try (InputStream in = Files.newInputStream(file)) {
            if (mediaType.equals("application/msword")) {
                try (HWPFDocument text = new HWPFDocument(in);
                        WordExtractor words = new WordExtractor(text)) {
                    return List.of(words.getParagraphText());
                }
            }
            try (XWPFDocument text = new XWPFDocument(in)) {
                return text.getParagraphs().stream().map(XWPFParagraph::getText).toList();
            }
        }
    }

    private static List<String> ofRichText(Path file) throws IOException {
        RTFEditorKit kit = new RTFEditorKit();
        Document text = kit.createDefaultDocument();
        try (InputStream in = Files.newInputStream(file)) {
            kit.read(in, text, 0);
            return text.getText(0, text.getLength()).lines().toList();
        } catch (BadLocationException damaged) {
            throw new IOException(damaged);
        }
    }

    static Inside table(Path file, String mediaType) throws IOException {
        if (OpenDocument.is(mediaType)) {
            return OpenDocument.read(file, Inside.Shape.TABLE);
        }
        Inside.Reader reader = new Inside.Reader(Inside.Shape.TABLE);
        DataFormatter shown = new DataFormatter();
        shown.setUseCachedValuesForFormulaCells(true);
        try (Workbook book = WorkbookFactory.create(small(file).toFile(), null, true)) {
            for (Sheet sheet : book) {
                if (!book.isSheetHidden(book.getSheetIndex(sheet)) && !reader.begins(sheet.getSheetName())) {
                    break;
                }
                rows(sheet, shown, reader);
            }
        }
        return reader.whole();
    }

    private static void rows(Sheet sheet, DataFormatter shown, Inside.Reader reader) {
        if (sheet.getWorkbook().isSheetHidden(sheet.getWorkbook().getSheetIndex(sheet))) {
            return;
        }
        int next = 0;
        for (Row row : sheet) {
            if (row.getRowNum() > next && next > 0 && !reader.row(List.of())) {
                return;
            }
            next = row.getRowNum() + 1;
            if (!reader.row(cells(row, shown))) {
                return;
            }
        }
    }

    private static List<String> cells(Row row, DataFormatter shown) {
        return IntStream.range(0, Math.min(WIDEST, Math.max(0, row.getLastCellNum())))
                .mapToObj(column -> Optional.ofNullable(row.getCell(column, Row.MissingCellPolicy.RETURN_BLANK_AS_NULL))
                        .map((Cell cell) -> shown.formatCellValue(cell))
                        .orElse(""))
                .toList();
    }

    static Inside slides(Path file, String mediaType) throws IOException {
        if (OpenDocument.is(mediaType)) {
            return OpenDocument.read(file, Inside.Shape.SLIDES);
        }
        Inside.Reader reader = new Inside.Reader(Inside.Shape.SLIDES);
        try (SlideShow<?, ?> show = SlideShowFactory.create(small(file).toFile(), null, true)) {
            for (Slide<?, ?> slide : show.getSlides()) {
                if (!reader.begins("Slide " + slide.getSlideNumber())) {
                    break;
                }
                lines(slide).forEach(reader::line);
            }
        }
        return reader.whole();
    }

    private static List<String> lines(ShapeContainer<?, ?> of) {
        List<String> lines = new ArrayList<>();
        for (Shape<?, ?> shape : of.getShapes()) {
            if (shape instanceof TextShape<?, ?> text) {
                lines.addAll(Arrays.asList(text.getText().split("[\\r\\n\\x0B]+")));
            } else if (shape instanceof TableShape<?, ?> table) {
                IntStream.range(0, table.getNumberOfRows()).forEach(row -> lines.add(ofRow(table, row)));
            } else if (shape instanceof ShapeContainer<?, ?> group) {
                lines.addAll(lines(group));
            }
        }
        return lines;
    }

    private static String ofRow(TableShape<?, ?> table, int row) {
        return String.join(
                " · ",
                IntStream.range(0, table.getNumberOfColumns())
                        .mapToObj(column -> Optional.ofNullable(table.getCell(row, column))
                                .map(cell -> cell.getText().strip())
                                .orElse(""))
                        .filter(text -> !text.isEmpty())
                        .toList());
    }

    /** What is opened whole has to be small: it takes many times its size. */
    private static Path small(Path file) throws IOException {
        if (Files.size(file) > LARGEST) {
            throw new IOException("larger than " + LARGEST + " bytes");
        }
        return file;
    }
}
