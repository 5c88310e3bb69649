package app.clearpane.formats.files;

import app.clearpane.core.files.Inside;
import app.clearpane.formats.supply.UpTo;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the content of an OpenDocument file (ISO/IEC 26300) while it unpacks, as far as it is shown. */
final class OpenDocument {
    private static final int MOST_UNPACKED = 100_000_000;
    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";
    private static final String DRAW = "urn:oasis:names:tc:opendocument:xmlns:drawing:1.0";
    private static final int MOST_REPEATED = 200;

    private final Inside.Shape shape;
    private final Inside.Reader reader;
    private final StringBuilder text = new StringBuilder();
    private final List<String> cells = new ArrayList<>();
    private int slide;
    private boolean room = true;

    private OpenDocument(Inside.Shape shape) {
        this.shape = shape;
        this.reader = new Inside.Reader(shape);
    }

    static boolean is(String mediaType) {
        return mediaType.contains("opendocument");
    }

    static Inside read(Path file, Inside.Shape shape) throws IOException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try (ZipFile zip = new ZipFile(file.toFile());
                InputStream in = zip.getInputStream(content(zip))) {
            OpenDocument document = new OpenDocument(shape);
            document.take(factory.createXMLStreamReader(new UpTo(in, MOST_UNPACKED)));
            return document.reader.whole();
        } catch (XMLStreamException damaged) {
            throw new IOException(damaged);
        }
    }

    private static ZipEntry content(ZipFile zip) throws IOException {
        return Optional.ofNullable(zip.getEntry("content.xml")).orElseThrow(() -> new IOException("no content"));
    }

    private void take(XMLStreamReader xml) throws XMLStreamException {
        reader.begins("");
        int repeated = 1;
        while (room && xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.CHARACTERS) {
                text.append(xml.getText());
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                repeated = begin(xml, repeated);
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                end(xml.getLocalName(), repeated);
            }
        }
    }

    /** @return how often the cell that begins here is repeated; what was known where none begins */
    private int begin(XMLStreamReader xml, int repeated) {
        switch (xml.getLocalName()) {
            case "table" -> {
                if (shape.isTable()) {
                    room = reader.begins(said(xml, TABLE, "name"));
                }
            }
            case "page" -> {
                if (xml.getNamespaceURI().equals(DRAW)) {
                    slide++;
                    room = reader.begins("Slide " + slide);
                }
            }
            case "table-cell", "covered-table-cell" -> {
                text.setLength(0);
                return number(said(xml, TABLE, "number-columns-repeated"));
            }
            case "p", "h" -> {
                if (!shape.isTable()) {
                    text.setLength(0);
                }
            }
            case "s", "tab", "line-break" -> text.append(' ');
            default -> {
                return repeated;
            }
        }
        return repeated;
    }

    private void end(String element, int repeated) {
        switch (element) {
            case "p", "h" -> {
                if (shape.isTable()) {
                    text.append(' ');
                } else {
                    room = reader.line(text.toString());
                    text.setLength(0);
                }
            }
            case "table-cell", "covered-table-cell" -> {
                if (shape.isTable()) {
                    cells.addAll(Collections.nCopies(repeated, text.toString().strip()));
                }
            }
            case "table-row" -> {
                if (shape.isTable()) {
                    room = reader.row(cells);
                    cells.clear();
                }
            }
            default -> {
                return;
            }
        }
    }

    private static String said(XMLStreamReader xml, String namespace, String attribute) {
        return Optional.ofNullable(xml.getAttributeValue(namespace, attribute)).orElse("");
    }

    private static int number(String said) {
        return said.matches("\\d{1,5}") ? Math.max(1, Math.min(MOST_REPEATED, Integer.parseInt(said))) : 1;
    }
}
