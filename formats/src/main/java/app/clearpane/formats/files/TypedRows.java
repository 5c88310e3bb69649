package app.clearpane.formats.files;

import app.clearpane.core.files.Inside;
import app.clearpane.formats.supply.TypedTable;
import app.clearpane.formats.supply.TypedText;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Text, line by line, or as the rows of values that it is. */
final class TypedRows {
    private TypedRows() {}

    static Inside table(Path file) throws IOException {
        String text = TypedText.beginning(file);
        Inside.Reader rows = new Inside.Reader(Inside.Shape.TABLE);
        rows.begins("");
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(TypedTable.between(text).orElse(','))
                .get();
        try (CSVParser parser = CSVParser.parse(text, format)) {
            for (CSVRecord row : parser) {
                if (!rows.row(List.of(row.values()))) {
                    break;
                }
            }
        }
        return rows.whole();
    }

    static Inside lines(Path file) throws IOException {
        Inside.Reader reader = new Inside.Reader(Inside.Shape.TEXT);
        reader.begins("");
        for (String line : (Iterable<String>) TypedText.beginning(file).lines()::iterator) {
            if (!reader.line(line)) {
                break;
            }
        }
        return reader.whole();
    }
}
