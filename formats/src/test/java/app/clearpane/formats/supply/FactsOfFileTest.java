package app.clearpane.formats.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.supply.ColourSpace;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.FileKind;
import app.clearpane.core.supply.Pixels;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FactsOfFileTest {
    private static final float MILLIMETRE = 72 / 25.4f;

    @TempDir
    Path folder;

    private FileFacts read(String name, byte[] bytes) throws IOException {
        return FactsOfFile.read(Files.write(folder.resolve(name), bytes));
    }

    private static byte[] picture(String format, int type) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, type), format, out);
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({"jpg, image/jpeg, RGB", "png, image/png, RGB", "gif, image/gif, RGB"})
    void aPictureSaysItsSizeAndItsColours(String format, String mediaType, ColourSpace colours) throws IOException {
        FileFacts facts = read("a-name.pdf", picture(format, BufferedImage.TYPE_INT_RGB));
        assertThat(facts.mediaType()).as("whatever its name says").isEqualTo(mediaType);
        assertThat(facts.picture())
                .contains(new FileFacts.Picture(new Pixels(40, 30), Optional.of(colours), Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({"jpg", "png"})
    void greyIsToldFromColours(String format) throws IOException {
        FileFacts facts = read("grey", picture(format, BufferedImage.TYPE_BYTE_GRAY));
        assertThat(facts.picture().orElseThrow().colours()).contains(ColourSpace.GREY);
    }

    @ParameterizedTest
    @CsvSource({"1, 40, 30", "3, 40, 30", "6, 30, 40", "8, 30, 40"})
    void aPhotographIsAsLargeAsItIsSeen(int orientation, int width, int height) throws IOException {
        byte[] plain = picture("jpg", BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream turned = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(turned);
        out.write(plain, 0, 2);
        byte[] exif = directory(new int[][] {{0x0112, 3, 1, orientation << 16}});
        out.writeShort(0xFFE1);
        out.writeShort(2 + 6 + exif.length);
        out.write("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        out.write(exif);
        out.write(plain, 2, plain.length - 2);
        assertThat(read("turned.jpg", turned.toByteArray())
                        .picture()
                        .orElseThrow()
                        .size())
                .isEqualTo(new Pixels(width, height));
    }

    /** A TIFF of nothing but its first directory: tag, type, count and value of each of its lines. */
    private static byte[] directory(int[][] lines) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.write(new byte[] {'M', 'M', 0, 42, 0, 0, 0, 8});
        out.writeShort(lines.length);
        for (int[] line : lines) {
            out.writeShort(line[0]);
            out.writeShort(line[1]);
            out.writeInt(line[2]);
            out.writeInt(line[3]);
        }
        out.writeInt(0);
        return bytes.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({"1, 1, GREY", "2, 3, RGB", "5, 4, CMYK"})
    void aTiffForPrintSaysSo(int photometric, int samples, ColourSpace colours) throws IOException {
        byte[] tiff = directory(new int[][] {
            {0x0100, 4, 1, 60_000},
            {0x0101, 4, 1, 50_000},
            {0x0102, 3, 1, 8 << 16},
            {0x0103, 3, 1, 1 << 16},
            {0x0106, 3, 1, photometric << 16},
            {0x0111, 4, 1, 8},
            {0x0115, 3, 1, samples << 16},
            {0x0116, 4, 1, 1},
            {0x0117, 4, 1, 1},
        });
        FileFacts facts = read("poster.tif", tiff);
        assertThat(facts.picture().orElseThrow().size())
                .as("nothing is decoded, however large it is")
                .isEqualTo(new Pixels(60_000, 50_000));
        assertThat(facts.picture().orElseThrow().colours()).contains(colours);
    }

    private static PDDocument pdf(double bleed) throws IOException {
        PDDocument document = new PDDocument();
        PDPage page = new PDPage(new PDRectangle((594 + 20) * MILLIMETRE, (420 + 20) * MILLIMETRE));
        document.addPage(page);
        page.setTrimBox(new PDRectangle(10 * MILLIMETRE, 10 * MILLIMETRE, 594 * MILLIMETRE, 420 * MILLIMETRE));
        float around = (float) bleed;
        page.setBleedBox(new PDRectangle(
                (10 - around) * MILLIMETRE,
                (10 - around) * MILLIMETRE,
                (594 + 2 * around) * MILLIMETRE,
                (420 + 2 * around) * MILLIMETRE));
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
            content.newLineAtOffset(100, 100);
            content.showText("Three words here");
            content.endText();
        }
        return document;
    }

    private static byte[] saved(PDDocument document) throws IOException {
        try (document) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void aPdfSaysItsPagesItsTrimItsFontsAndItsWords() throws IOException {
        FileFacts.Document found = read("panel.pdf", saved(pdf(3))).document().orElseThrow();
        assertThat(found.pages()).hasValue(1);
        assertThat(found.sheet().orElseThrow().name()).isEqualTo("A2");
        assertThat(found.bleed()).contains(3.0);
        assertThat(found.fontsLeftOut()).containsExactly("Helvetica");
        assertThat(found.words()).hasValue(3);
    }

    @Test
    void aPdfWithoutATrimSaysNothingOfItsBleed() throws IOException {
        PDDocument plain = new PDDocument();
        plain.addPage(new PDPage(PDRectangle.A4));
        plain.addPage(new PDPage(new PDRectangle(100, 200)));
        FileFacts.Document found = read("plain.pdf", saved(plain)).document().orElseThrow();
        assertThat(found.bleed()).isEmpty();
        assertThat(found.pages()).hasValue(2);
        assertThat(found.sheet().orElseThrow().name()).isEqualTo("A4");
        assertThat(found.fontsLeftOut()).isEmpty();
    }

    @Test
    void aLockedPdfIsKnownToBeLocked() throws IOException {
        PDDocument document = pdf(3);
        document.protect(new StandardProtectionPolicy("owner", "reader", new AccessPermission()));
        FileFacts facts = read("locked.pdf", saved(document));
        assertThat(facts.locked()).isTrue();
        assertThat(facts.kind()).isEqualTo(FileKind.PDF);
    }

    private static byte[] zip(String... entries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (int i = 0; i < entries.length; i += 2) {
                zip.putNextEntry(new ZipEntry(entries[i]));
                zip.write(entries[i + 1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    @Test
    void aDocumentSaysItsWords() throws IOException {
        try (XWPFDocument document = new XWPFDocument()) {
            document.createParagraph().createRun().setText("The star – hall");
            document.createParagraph().createRun().setText("opens at 10.");
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.write(out);
            FileFacts facts = read("texts.docx", out.toByteArray());
            assertThat(facts.kind()).isEqualTo(FileKind.TEXT);
            assertThat(facts.document().orElseThrow().words())
                    .as("a dash is no word")
                    .hasValue(6);
            assertThat(facts.macros()).isFalse();
        }
    }

    @Test
    void anOpenDocumentSaysItsWordsAndWhetherItIsLocked() throws IOException {
        String type = "application/vnd.oasis.opendocument.text";
        String content = "<o xmlns:text='t'><text:p>One two</text:p><text:p>three</text:p></o>";
        FileFacts open = read("texts.odt", zip("mimetype", type, "content.xml", content));
        assertThat(open.mediaType()).isEqualTo(type);
        assertThat(open.document().orElseThrow().words()).hasValue(3);
        FileFacts locked = read(
                "locked.odt",
                zip("mimetype", type, "content.xml", "%", "META-INF/manifest.xml", "<m:encryption-data/>"));
        assertThat(locked.locked()).isTrue();
        assertThat(locked.document()).isEmpty();
    }

    @Test
    void macrosAreFoundWhateverTheNameSays() throws IOException {
        FileFacts facts = read(
                "harmless.docx",
                zip("[Content_Types].xml", "<Types/>", "word/document.xml", "<d/>", "word/vbaProject.bin", "x"));
        assertThat(facts.macros()).isTrue();
        assertThat(facts.kind()).isEqualTo(FileKind.TEXT);
    }

    @Test
    void whatUnpacksToTooMuchIsNotReadToItsEnd() throws IOException {
        Path bomb = folder.resolve("bomb.docx");
        try (OutputStream out = Files.newOutputStream(bomb);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("[Content_Types].xml"));
            zip.closeEntry();
            zip.putNextEntry(new ZipEntry("word/document.xml"));
            zip.write("<d>".getBytes(StandardCharsets.US_ASCII));
            byte[] much = new byte[1_000_000];
            Arrays.fill(much, (byte) ' ');
            for (int i = 0; i < 101; i++) {
                zip.write(much);
            }
        }
        assertThat(FactsOfFile.read(bomb).document()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "WordDocument, '', TEXT, false, false",
        "WordDocument, Macros, TEXT, false, true",
        "Workbook, _VBA_PROJECT_CUR, TABLE, false, true",
        "PowerPoint Document, '', SLIDES, false, false",
        "EncryptedPackage, '', OTHER, true, false"
    })
    void documentsOfTheOlderKindAreKnownByWhatTheyHold(
            String entry, String other, FileKind kind, boolean locked, boolean macros) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (POIFSFileSystem system = new POIFSFileSystem()) {
            system.createDocument(new ByteArrayInputStream(new byte[] {1}), entry);
            if (!other.isEmpty()) {
                system.getRoot().createDirectory(other);
            }
            system.writeFilesystem(out);
        }
        FileFacts facts = read("older", out.toByteArray());
        assertThat(facts.kind()).isEqualTo(kind);
        assertThat(facts.locked()).isEqualTo(locked);
        assertThat(facts.macros()).isEqualTo(macros);
    }

    @Test
    void aSoundSaysHowLongItPlays() throws IOException {
        AudioFormat format = new AudioFormat(8_000, 8, 1, true, false);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        AudioSystem.write(
                new AudioInputStream(new ByteArrayInputStream(new byte[12_000]), format, 12_000),
                AudioFileFormat.Type.WAVE,
                out);
        FileFacts facts = read("bell.wav", out.toByteArray());
        assertThat(facts.kind()).isEqualTo(FileKind.SOUND);
        assertThat(facts.length()).contains(Duration.ofMillis(1_500));
    }

    @Test
    void aTextIsCountedInWordsHoweverItIsEncoded() throws IOException {
        assertThat(read("hours.txt", "Ten to four, – daily.".getBytes(StandardCharsets.UTF_8))
                        .document()
                        .map(FileFacts.Document::words))
                .contains(OptionalInt.of(4));
        assertThat(read("older.txt", "Café ouvert".getBytes(StandardCharsets.ISO_8859_1))
                        .document()
                        .map(FileFacts.Document::words))
                .contains(OptionalInt.of(2));
    }

    @Test
    void whatIsDamagedOrEmptyOrUnknownIsOnlyWhatItIs() throws IOException {
        for (byte[] bytes : List.of(
                new byte[0],
                "%PDF-1.7 and no more".getBytes(StandardCharsets.US_ASCII),
                Arrays.copyOf(picture("jpg", BufferedImage.TYPE_INT_RGB), 30),
                Arrays.copyOf(zip("a", "b"), 20),
                new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, (byte) 0xA1, (byte) 0xB1, 0x1A, (byte) 0xE1},
                new byte[] {1, 2, 3})) {
            FileFacts facts = read("anything", bytes);
            assertThat(facts.bytes()).isEqualTo(bytes.length);
            assertThat(facts.picture()).isEmpty();
            assertThat(facts.document()).isEmpty();
        }
    }
}
