package app.clearpane.formats.markup;

import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.TimeCode;
import java.io.IOException;
import java.io.OutputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Notes as a table: one row for each, with its thread in one cell. */
public final class NotesTable {
    private static final List<String> HEADINGS =
            List.of("Mark", "Where", "Wants", "State", "By", "On", "Note", "Instead", "Answers");

    private NotesTable() {}

    private static List<String> row(Annotation mark) {
        StringBuilder answers = new StringBuilder();
        mark.replies().forEach(reply -> answers.append(answers.isEmpty() ? "" : "\n")
                .append(reply.author())
                .append(": ")
                .append(reply.said()));
        return List.of(
                mark.label(),
                where(mark.place()),
                mark.intent().name().toLowerCase(Locale.ROOT),
                mark.progress().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                mark.author(),
                mark.at().toString(),
                mark.note(),
                mark.replacement().orElse(""),
                answers.toString());
    }

    private static String where(Place place) {
        if (place instanceof Place.TextRange range) {
            return "“" + range.quote() + "”";
        }
        return place instanceof Place.Moment moment ? TimeCode.of(moment) : "sheet " + place.page();
    }

    /** As CSV (RFC 4180). A cell that a spreadsheet would take for a formula begins with an apostrophe. */
    public static String csv(List<Annotation> marks) {
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(HEADINGS);
            for (Annotation mark : marks) {
                printer.printRecord(row(mark).stream().map(NotesTable::harmless).toList());
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return out.toString();
    }

    private static String harmless(String cell) {
        return cell.isEmpty() || "=+-@\t\r".indexOf(cell.charAt(0)) < 0 ? cell : "'" + cell;
    }

    /** As an Office Open XML workbook (.xlsx) with one sheet. */
    public static void xlsx(List<Annotation> marks, OutputStream out) throws IOException {
        try (Workbook workbook = new Workbook(out, "Clear Pane", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Notes");
            for (int column = 0; column < HEADINGS.size(); column++) {
                sheet.value(0, column, HEADINGS.get(column));
                sheet.style(0, column).bold().set();
            }
            for (int i = 0; i < marks.size(); i++) {
                List<String> row = row(marks.get(i));
                for (int column = 0; column < row.size(); column++) {
                    sheet.value(i + 1, column, row.get(column));
                    sheet.style(i + 1, column)
                            .wrapText(true)
                            .verticalAlignment("top")
                            .set();
                }
            }
            sheet.width(6, 60);
            sheet.width(8, 60);
            sheet.freezePane(0, 1);
        }
    }
}
