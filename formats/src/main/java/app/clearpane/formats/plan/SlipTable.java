package app.clearpane.formats.plan;

import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.formats.table.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Where the days of a project went, as a table (RFC 4180 CSV). */
public final class SlipTable {
    private SlipTable() {}

    /**
     * One line for each day that moved the finish, and one with the sums, so that it adds up.
     *
     * @param unit which of those days to write; the last line sums all of the ledger
     */
    public static String csv(SlipLedger ledger, List<SlipLedger.Day> unit) {
        StringWriter text = new StringWriter();
        try (CSVPrinter table = new CSVPrinter(text, CSVFormat.RFC4180)) {
            table.printRecord("day", "client", "team", "plan change", "because", "held by", "forecast finish");
            for (SlipLedger.Day day : unit) {
                table.printRecord(
                        day.on(),
                        day.slip().client(),
                        day.slip().team(),
                        day.slip().planChange(),
                        SafeCell.of(day.because().map(task -> task.name()).orElse("change of the plan")),
                        day.slip().client() != 0 ? Side.CLIENTS : day.slip().team() != 0 ? Side.OURS : "",
                        day.finish());
            }
            table.printRecord(
                    "sum",
                    ledger.sum().client(),
                    ledger.sum().team(),
                    ledger.sum().planChange(),
                    "",
                    "",
                    "");
            table.printRecord(
                    "reserve",
                    "",
                    "",
                    ledger.reserve(),
                    "working days that the plan as agreed left before the agreed finish",
                    "",
                    ledger.planned());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
