package app.clearpane.formats.agency;

import app.clearpane.core.agency.Card;
import app.clearpane.formats.table.SafeCell;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import ezvcard.io.text.VCardWriter;
import ezvcard.property.StructuredName;
import ezvcard.property.TextProperty;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * People as vCards (RFC 6350; older ones are read too), or as a table (RFC 4180 CSV; semicolons and tabs are read too).
 */
public final class CardFile {
    /** The most that are read of a file. */
    public static final int MOST = 2_000;

    private static final String BEGINS = "BEGIN:VCARD";
    private static final Map<Column, List<String>> HEADINGS = Map.of(
            Column.CLIENT, List.of("client", "organisation", "organization", "company", "firm", "where they work"),
            Column.NAME, List.of("name", "full name", "display name", "contact"),
            Column.FIRST, List.of("first name", "given name", "forename"),
            Column.LAST, List.of("last name", "family name", "surname"),
            Column.EMAIL, List.of("mail address", "email", "e-mail", "e-mail address", "email address", "mail"),
            Column.SAYS, List.of("what they do", "title", "job title", "role", "position"));

    private enum Column {
        CLIENT,
        NAME,
        FIRST,
        LAST,
        EMAIL,
        SAYS
    }

    private CardFile() {}

    /** As vCards of version 4. */
    public static String vcards(List<Card> all) {
        List<VCard> cards = new ArrayList<>();
        for (Card one : all) {
            VCard card = new VCard(VCardVersion.V4_0);
            card.setFormattedName(one.name());
            card.setStructuredName(structured(one.name()));
            card.addEmail(one.email());
            if (!one.client().isEmpty()) {
                card.setOrganization(one.client());
            }
            if (!one.occupation().isEmpty()) {
                card.addTitle(one.occupation());
            }
            cards.add(card);
        }
        StringWriter text = new StringWriter();
        try (VCardWriter writer = new VCardWriter(text, VCardVersion.V4_0)) {
            writer.setAddProdId(false);
            for (VCard card : cards) {
                writer.write(card);
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }

    private static StructuredName structured(String name) {
        StructuredName parts = new StructuredName();
        int last = name.lastIndexOf(' ');
        parts.setFamily(last < 0 ? name : name.substring(last + 1));
        parts.setGiven(last < 0 ? null : name.substring(0, last));
        return parts;
    }

    /** As a table. */
    public static String csv(List<Card> all) {
        StringWriter text = new StringWriter();
        try (CSVPrinter table = new CSVPrinter(text, CSVFormat.RFC4180)) {
            table.printRecord("Client", "Name", "Mail address", "What they do");
            for (Card one : all) {
                table.printRecord(
                        SafeCell.of(one.client()),
                        SafeCell.of(one.name()),
                        SafeCell.of(one.email()),
                        SafeCell.of(one.occupation()));
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }

    /**
     * Reads either.
     *
     * @throws IOException if it is neither, with a sentence
     */
    public static List<Card> read(String text) throws IOException {
        String begins = text.startsWith("\uFEFF") ? text.substring(1) : text;
        List<Card> all = begins.stripLeading().regionMatches(true, 0, BEGINS, 0, BEGINS.length())
                ? ofVcards(begins)
                : ofTable(begins);
        if (all.size() > MOST) {
            throw new IOException("It has %,d people; up to %,d are taken in at once. Bring it in parts."
                    .formatted(all.size(), MOST));
        }
        return all;
    }

    private static List<Card> ofVcards(String text) throws IOException {
        try (VCardReader reader = new VCardReader(text)) {
            return reader.readAll().stream().map(CardFile::card).toList();
        }
    }

    private static Card card(VCard card) {
        return new Card(
                card.getOrganization() == null
                                || card.getOrganization().getValues().isEmpty()
                        ? ""
                        : bare(card.getOrganization().getValues().get(0)),
                name(card),
                card.getEmails().isEmpty() ? "" : bare(card.getEmails().get(0).getValue()),
                first(Stream.concat(card.getTitles().stream(), card.getRoles().stream())));
    }

    private static String name(VCard card) {
        if (card.getFormattedName() != null) {
            return bare(card.getFormattedName().getValue());
        }
        StructuredName parts = card.getStructuredName();
        return parts == null
                ? ""
                : Stream.of(parts.getGiven(), parts.getFamily())
                        .filter(Objects::nonNull)
                        .collect(Collectors.joining(" "));
    }

    private static String first(Stream<? extends TextProperty> properties) {
        return properties
                .map(one -> bare(one.getValue()))
                .filter(value -> !value.isEmpty())
                .findFirst()
                .orElse("");
    }

    private static String bare(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    private static List<Card> ofTable(String text) throws IOException {
        String heading = text.lines().findFirst().orElse("");
        char between = heading.indexOf('\t') >= 0
                ? '\t'
                : heading.chars().filter(c -> c == ';').count()
                                > heading.chars().filter(c -> c == ',').count()
                        ? ';'
                        : ',';
        try (CSVParser rows = CSVParser.parse(
                new StringReader(text),
                CSVFormat.RFC4180
                        .builder()
                        .setDelimiter(between)
                        .setIgnoreEmptyLines(true)
                        .get())) {
            List<CSVRecord> all = rows.getRecords();
            Map<Column, Integer> columns = all.isEmpty() ? Map.of() : columns(all.get(0));
            if (!columns.containsKey(Column.EMAIL)
                    || !columns.containsKey(Column.NAME)
                            && !columns.containsKey(Column.FIRST)
                            && !columns.containsKey(Column.LAST)) {
                throw new IOException(
                        "It is neither vCards nor a table with a heading for names and one for mail addresses.");
            }
            return all.stream()
                    .skip(1)
                    .map(row -> card(row, columns))
                    .filter(card -> !(card.name() + card.email()).isEmpty())
                    .toList();
        } catch (UncheckedIOException | IllegalStateException damaged) {
            throw new IOException(
                    "It is a table that cannot be read to its end: a quotation mark is missing.", damaged);
        }
    }

    private static Map<Column, Integer> columns(CSVRecord heading) {
        Map<Column, Integer> columns = new HashMap<>();
        for (int i = 0; i < heading.size(); i++) {
            String called = heading.get(i).strip().toLowerCase(Locale.ROOT);
            for (Map.Entry<Column, List<String>> one : HEADINGS.entrySet()) {
                if (one.getValue().contains(called)) {
                    columns.putIfAbsent(one.getKey(), i);
                }
            }
        }
        return columns;
    }

    private static Card card(CSVRecord row, Map<Column, Integer> columns) {
        String name = cell(row, columns, Column.NAME);
        String parts = (cell(row, columns, Column.FIRST) + " " + cell(row, columns, Column.LAST)).strip();
        return new Card(
                cell(row, columns, Column.CLIENT),
                name.isEmpty() ? parts : name,
                cell(row, columns, Column.EMAIL),
                cell(row, columns, Column.SAYS));
    }

    private static String cell(CSVRecord row, Map<Column, Integer> columns, Column column) {
        Integer at = columns.get(column);
        String said = at == null || at >= row.size() ? "" : row.get(at).strip();
        return said.length() > 1
                        && said.charAt(0) == '\''
                        && SafeCell.of(said.substring(1)).equals(said)
                ? said.substring(1)
                : said;
    }
}
