package app.clearpane.formats.plan;

import app.clearpane.formats.table.SafeCell;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A table of tasks as spreadsheets read and write it (RFC 4180 CSV).
 *
 * @param header the names of its columns
 * @param rows in order, each with the line of the file it ends on; a row may be shorter than the header
 */
public record TaskTable(List<String> header, List<Row> rows) {
    /** The most rows that are read. */
    public static final int MOST_ROWS = 50_000;

    private static final Charset OF_OLD_SPREADSHEETS = Charset.forName("windows-1252");

    public TaskTable {
        header = List.copyOf(header);
        rows = List.copyOf(rows);
    }

    /** One row. */
    public record Row(long line, List<String> cells) {
        /** A cell; empty where the row is shorter. */
        public String cell(int column) {
            return column >= 0 && column < cells.size() ? cells.get(column).strip() : "";
        }
    }

    /**
     * The text of a file: UTF-8 or UTF-16 where it says so, else UTF-8 if it is, else as spreadsheets write it on
     * Windows.
     *
     * @param bytes the file
     */
    public static String text(byte[] bytes) {
        if (bytes.length >= 2 && (bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xFE) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (bytes.length >= 2 && (bytes[0] & 0xFF) == 0xFE && (bytes[1] & 0xFF) == 0xFF) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, OF_OLD_SPREADSHEETS);
        }
    }

    /**
     * Reads a table whose first row names the columns; they are set apart by commas, semicolons or tabs, whichever the
     * first line has most of.
     *
     * @throws IllegalArgumentException if it has no row, too many, or cannot be read as a table
     */
    public static TaskTable read(String text) {
        try (CSVParser parser = CSVParser.parse(
                new StringReader(text),
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(text))
                        .setIgnoreEmptyLines(true)
                        .get())) {
            List<String> header = List.of();
            List<Row> rows = new ArrayList<>();
            for (CSVRecord record : parser) {
                if (header.isEmpty()) {
                    header = record.stream().map(String::strip).toList();
                } else if (record.stream().anyMatch(cell -> !cell.isBlank())) {
                    rows.add(new Row(parser.getCurrentLineNumber(), record.toList()));
                }
                if (rows.size() > MOST_ROWS) {
                    throw new IllegalArgumentException("it has more than %,d rows".formatted(MOST_ROWS));
                }
            }
            if (rows.isEmpty()) {
                throw new IllegalArgumentException("it has no row below its first one");
            }
            return new TaskTable(header, rows);
        } catch (IOException | UncheckedIOException unreadable) {
            throw new IllegalArgumentException("it is no table: " + unreadable.getMessage(), unreadable);
        }
    }

    private static String delimiter(String text) {
        String first = text.lines().findFirst().orElse("");
        return List.of(";", "\t", ",").stream()
                .max((a, b) -> Long.compare(count(first, a), count(first, b)))
                .orElse(",");
    }

    private static long count(String line, String delimiter) {
        return line.chars().filter(c -> c == delimiter.charAt(0)).count();
    }

    /** As CSV; no cell is taken for a formula. */
    public String write() {
        StringWriter text = new StringWriter();
        try (CSVPrinter table = new CSVPrinter(text, CSVFormat.RFC4180)) {
            table.printRecord(header);
            for (Row row : rows) {
                table.printRecord(row.cells().stream().map(SafeCell::of).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
