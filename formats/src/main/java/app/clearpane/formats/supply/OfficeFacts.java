package app.clearpane.formats.supply;

import app.clearpane.core.supply.FileFacts;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.swing.text.BadLocationException;
import javax.swing.text.Document;
import javax.swing.text.rtf.RTFEditorKit;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.extractor.WordExtractor;
import org.apache.poi.poifs.filesystem.DirectoryNode;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;

/** Documents of office programs: ZIP archives of XML, OpenDocument's too, and the older kind. */
final class OfficeFacts {
    private static final String OOXML = "application/vnd.openxmlformats-officedocument.";
    private static final String LOCKED = "application/x-locked-office-document";
    private static final int MOST_OF_AN_ENTRY = 100_000_000;
    private static final int LONGEST_LIST = 1_000_000;
    private static final Map<String, String> ROOTS = Map.of(
            "word/", OOXML + "wordprocessingml.document",
            "xl/", OOXML + "spreadsheetml.sheet",
            "ppt/", OOXML + "presentationml.presentation");
    private static final Set<String> PARAGRAPHS = Set.of("p", "h", "br", "tab", "line-break", "s", "tc", "table-cell");

    private OfficeFacts() {}

    /** What an archive is: a document by what it holds, else an archive. */
    static String kindOfArchive(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            ZipEntry said = zip.getEntry("mimetype");
            if (said != null) {
                try (InputStream in = zip.getInputStream(said)) {
                    return new String(in.readNBytes(200), StandardCharsets.US_ASCII).strip();
                }
            }
            if (zip.getEntry("[Content_Types].xml") == null) {
                return "application/zip";
            }
            return ROOTS.entrySet().stream()
                    .filter(root ->
                            zip.stream().anyMatch(entry -> entry.getName().startsWith(root.getKey())))
                    .map(Map.Entry::getValue)
                    .findFirst()
                    .orElse("application/zip");
        } catch (IOException damaged) {
            return "application/zip";
        }
    }

    /** What a document of the older kind is. One that is locked keeps to itself what it is. */
    static String kindOfOlder(Path file) throws IOException {
        try (POIFSFileSystem system = new POIFSFileSystem(file.toFile(), true)) {
            DirectoryNode root = system.getRoot();
            if (root.hasEntry("EncryptedPackage")) {
                return LOCKED;
            }
            if (root.hasEntry("Workbook") || root.hasEntry("Book")) {
                return "application/vnd.ms-excel";
            }
            return root.hasEntry("PowerPoint Document") ? "application/vnd.ms-powerpoint" : "application/msword";
        } catch (IOException | RuntimeException damaged) {
            return "application/octet-stream";
        }
    }

    /** Whether it is one that keeps to itself what it is. */
    static boolean isLocked(String mediaType) {
        return mediaType.equals(LOCKED);
    }

    static FileFacts read(Path file, String mediaType) throws IOException {
        if (mediaType.equals("application/rtf")) {
            return ofRichText(file, mediaType);
        }
        long bytes = Files.size(file);
        return mediaType.startsWith(OOXML) || mediaType.contains("opendocument")
                ? ofArchive(file, mediaType, bytes)
                : ofOlder(file, mediaType, bytes);
    }

    private static FileFacts ofArchive(Path file, String mediaType, long bytes) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            boolean macros = zip.stream()
                    .map(ZipEntry::getName)
                    .anyMatch(name -> name.endsWith("/vbaProject.bin")
                            || name.startsWith("Basic/")
                            || name.startsWith("Scripts/"));
            ZipEntry text = zip.getEntry(mediaType.startsWith(OOXML) ? "word/document.xml" : "content.xml");
            boolean locked = isLocked(zip);
            OptionalInt words = text == null || locked ? OptionalInt.empty() : words(zip, text);
            return (words.isPresent()
                            ? FileFacts.ofDocument(mediaType, bytes, FileFacts.Document.ofWords(words.getAsInt()))
                            : FileFacts.ofKind(mediaType, bytes))
                    .with(locked, macros);
        }
    }

    /** An OpenDocument says in its manifest that what it holds is encrypted. */
    private static boolean isLocked(ZipFile zip) throws IOException {
        ZipEntry manifest = zip.getEntry("META-INF/manifest.xml");
        if (manifest == null) {
            return false;
        }
        try (InputStream in = zip.getInputStream(manifest)) {
            return new String(in.readNBytes(LONGEST_LIST), StandardCharsets.UTF_8).contains("encryption-data");
        }
    }

    private static OptionalInt words(ZipFile zip, ZipEntry entry) throws IOException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try (InputStream in = zip.getInputStream(entry)) {
            StringBuilder text = new StringBuilder();
            XMLStreamReader xml = factory.createXMLStreamReader(new UpTo(in, MOST_OF_AN_ENTRY));
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.CHARACTERS) {
                    text.append(xml.getText());
                } else if (event == XMLStreamConstants.END_ELEMENT && PARAGRAPHS.contains(xml.getLocalName())) {
                    text.append(' ');
                }
            }
            return OptionalInt.of(WordCount.of(text));
        } catch (XMLStreamException damaged) {
            return OptionalInt.empty();
        }
    }

    private static OptionalInt wordsOfOlder(DirectoryNode root) {
        try (HWPFDocument text = new HWPFDocument(root);
                WordExtractor words = new WordExtractor(text)) {
            return OptionalInt.of(WordCount.of(words.getText()));
        } catch (IOException | RuntimeException damaged) {
            return OptionalInt.empty();
        }
    }

    /** A text as RTF, which carries no programs and takes no password. */
    static FileFacts ofRichText(Path file, String mediaType) throws IOException {
        long bytes = Files.size(file);
        if (bytes > MOST_OF_AN_ENTRY) {
            return FileFacts.ofKind(mediaType, bytes);
        }
        RTFEditorKit reader = new RTFEditorKit();
        Document text = reader.createDefaultDocument();
        try (InputStream in = Files.newInputStream(file)) {
            reader.read(in, text, 0);
            return FileFacts.ofDocument(
                    mediaType, bytes, FileFacts.Document.ofWords(WordCount.of(text.getText(0, text.getLength()))));
        } catch (BadLocationException damaged) {
            return FileFacts.ofKind(mediaType, bytes);
        }
    }

    private static FileFacts ofOlder(Path file, String mediaType, long bytes) throws IOException {
        try (POIFSFileSystem system = new POIFSFileSystem(file.toFile(), true)) {
            DirectoryNode root = system.getRoot();
            OptionalInt words = mediaType.equals("application/msword") ? wordsOfOlder(root) : OptionalInt.empty();
            FileFacts facts = words.isPresent()
                    ? FileFacts.ofDocument(mediaType, bytes, FileFacts.Document.ofWords(words.getAsInt()))
                    : FileFacts.ofKind(mediaType, bytes);
            return facts.with(
                    root.hasEntry("EncryptedPackage"), root.hasEntry("Macros") || root.hasEntry("_VBA_PROJECT_CUR"));
        }
    }
}
