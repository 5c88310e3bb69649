package app.clearpane.formats.deliverable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WorkTest {
    @TempDir
    private Path folder;

    private Path file(byte[] bytes) throws IOException {
        return Files.write(Files.createTempFile(folder, "file", ""), bytes);
    }

    private static List<Work.DrawnPage> drawn(Work work, int from) throws IOException, UnusableFile {
        List<Work.DrawnPage> pages = new ArrayList<>();
        work.draw(from, pages::add);
        return pages;
    }

    private static BufferedImage picture(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(Color.ORANGE);
        graphics.fillRect(0, 0, width / 2, height);
        graphics.dispose();
        return image;
    }

    private static byte[] encoded(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(image, format, out)).isTrue();
        return out.toByteArray();
    }

    private static byte[] pdf(PdfMaker maker) throws IOException {
        try (PDDocument document = new PDDocument()) {
            maker.make(document);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private interface PdfMaker {
        void make(PDDocument document) throws IOException;
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg", "gif", "tiff"})
    void looksAtPictures(String format) throws Exception {
        Work work = Work.open(file(encoded(picture(2_000, 1_000), format)), "picture");
        Work.DrawnPage page = drawn(work, 1).get(0);
        assertThat(page.size().ratio()).isEqualTo(0.5);
        assertThat(ImageIO.read(new ByteArrayInputStream(page.large())).getWidth())
                .isEqualTo(Work.LARGE_WIDTH);
        assertThat(ImageIO.read(new ByteArrayInputStream(page.small())).getWidth())
                .isEqualTo(Work.SMALL_WIDTH);
    }

    @Test
    void looksAtWebP() throws Exception {
        byte[] lossless = java.util.Base64.getDecoder().decode("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==");
        assertThat(drawn(Work.open(file(lossless), "dot.webp"), 1).get(0).size().ratio())
                .isEqualTo(1);
    }

    /** A tag that says that a photograph was taken with the camera turned by a quarter. */
    private static final byte[] TURNED = HexFormat.of()
            .parseHex("ffe10022457869660000" + "4d4d002a00000008" + "0001" + "011200030000000100060000" + "00000000");

    @Test
    void turnsPhotographsUpright() throws Exception {
        byte[] jpeg = encoded(picture(400, 200), "jpg");
        ByteArrayOutputStream turned = new ByteArrayOutputStream();
        turned.write(jpeg, 0, 2);
        turned.write(TURNED);
        turned.write(jpeg, 2, jpeg.length - 2);
        Work.DrawnPage page = drawn(Work.open(file(turned.toByteArray()), "photograph.jpg"), 1)
                .get(0);
        assertThat(page.size().ratio()).isEqualTo(2);
        BufferedImage upright = ImageIO.read(new ByteArrayInputStream(page.large()));
        assertThat(new Color(upright.getRGB(100, 50)).getRed()).isGreaterThan(200);
        assertThat(new Color(upright.getRGB(100, 350)).getRed()).isLessThan(50);
        assertThat(new String(page.large(), StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
    }

    @Test
    void drawsPdfPagesUprightAndCropped() throws Exception {
        byte[] bytes = pdf(document -> {
            PDPage page = new PDPage(new PDRectangle(400, 600));
            page.setCropBox(new PDRectangle(50, 50, 300, 150));
            page.setRotation(90);
            document.addPage(page);
            document.addPage(new PDPage(PDRectangle.A4));
        });
        Work work = Work.open(file(bytes), "two.pdf");
        assertThat(work.pages()).isEqualTo(2);
        assertThat(drawn(work, 1).get(0).size().ratio()).isEqualTo(2);
        assertThat(drawn(work, 2)).extracting(Work.DrawnPage::page).containsExactly(2);
    }

    @Test
    void takesTwoThousandPages() throws Exception {
        byte[] bytes = pdf(document -> {
            for (int i = 0; i < 2_000; i++) {
                document.addPage(new PDPage(new PDRectangle(20, 20)));
            }
        });
        assertThat(Work.open(file(bytes), "long.pdf").pages()).isEqualTo(2_000);
    }

    @Test
    void keepsAStripThatIsVeryHighSmall() throws Exception {
        byte[] bytes = pdf(document -> document.addPage(new PDPage(new PDRectangle(20, 14_000))));
        BufferedImage large = ImageIO.read(new ByteArrayInputStream(
                drawn(Work.open(file(bytes), "strip.pdf"), 1).get(0).large()));
        assertThat((long) large.getWidth() * large.getHeight()).isLessThan(Work.MOST_DRAWN_PIXELS * 11 / 10);
    }

    private void refuses(byte[] bytes, String sentence) throws IOException {
        Path path = file(bytes);
        assertThatThrownBy(() -> drawn(Work.open(path, "thing.pdf"), 1))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void saysWhatIsWrongWithAFile() throws Exception {
        byte[] png = encoded(picture(300, 300), "png");
        byte[] good = pdf(document -> document.addPage(new PDPage()));
        refuses(new byte[0], "is empty: it has 0 bytes");
        refuses("just words".getBytes(StandardCharsets.UTF_8), "is plain text inside");
        refuses(new byte[] {'P', 'K', 3, 4, 0, 0, 0, 0, 0, 0}, "a ZIP archive inside");
        refuses(Arrays.copyOf(png, png.length / 2), "damaged or cut off");
        refuses(Arrays.copyOf(good, 40), "damaged or cut off");
        refuses(
                pdf(document -> {
                    document.addPage(new PDPage());
                    document.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
                }),
                "locked with a password");
    }

    @Test
    void refusesAPictureTooLargeBeforeDecodingIt() throws Exception {
        refuses(hugePng(60_000, 60_000), "This picture is 60,000 × 60,000 pixels");
    }

    /** A PNG whose header promises far more pixels than its few bytes hold. */
    private static byte[] hugePng(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(header);
        data.writeInt(width);
        data.writeInt(height);
        data.write(new byte[] {8, 2, 0, 0, 0});
        chunk(out, "IHDR", header.toByteArray());
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed, new Deflater(9))) {
            deflater.write(new byte[100_000]);
        }
        chunk(out, "IDAT", packed.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] content) throws IOException {
        CRC32 crc = new CRC32();
        crc.update(type.getBytes(StandardCharsets.US_ASCII));
        crc.update(content);
        DataOutputStream data = new DataOutputStream(out);
        data.writeInt(content.length);
        data.writeBytes(type);
        data.write(content);
        data.writeInt((int) crc.getValue());
    }

    @Test
    void showsAHarmlessCopyOfADrawing() throws Exception {
        String hostile = """
        <?xml version="1.0"?><!DOCTYPE svg [<!ENTITY lol "lol"><!ENTITY bomb "&lol;&lol;">]>
        <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="120"
        height="60" onload="alert(1)">
        <script>alert(2)</script><style>@import url(http://evil.example/a.css);</style><style>.a{fill:red}</style>
        <image href="http://evil.example/track.png" width="10" height="10"/><image
        xlink:href="data:image/png;base64,AAAA" width="1" height="1"/>
        <a href="javascript:alert(3)"><rect class="a" width="50" height="50"
        style="fill:url(http://evil.example/#x)" onclick="alert(4)"/></a>
        <foreignObject><iframe src="http://evil.example"/></foreignObject><use href="#local"/><set
        attributeName="href" to="javascript:alert(5)"/>
        <rect id="local" width="5" height="5" fill="url(#gradient)"/>&bomb;</svg>""";
        Work work = Work.open(file(hostile.getBytes(StandardCharsets.UTF_8)), "logo.svg");
        Work.DrawnPage page = drawn(work, 1).get(0);
        String shown = new String(page.large(), StandardCharsets.UTF_8);
        assertThat(shown)
                .doesNotContain(
                        "evil.example", "alert", "script", "onload", "onclick", "foreignObject", "DOCTYPE", "ENTITY")
                .contains(
                        "href=\"#local\"",
                        "url(#gradient)",
                        "data:image/png",
                        ".a{fill:red}",
                        "viewBox=\"0 0 120.0 60.0\"");
        assertThat(page.size().ratio()).isEqualTo(0.5);
    }

    @Test
    void drawsWhatAPageSays() throws Exception {
        byte[] bytes = pdf(document -> {
            PDPage page = new PDPage(new PDRectangle(100, 100));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(Color.RED);
                content.addRect(0, 50, 50, 50);
                content.fill();
            }
        });
        BufferedImage large = ImageIO.read(new ByteArrayInputStream(
                drawn(Work.open(file(bytes), "red.pdf"), 1).get(0).large()));
        assertThat(new Color(large.getRGB(400, 400))).isEqualTo(Color.RED);
        assertThat(new Color(large.getRGB(1_200, 1_200))).isEqualTo(Color.WHITE);
    }

    /**
     * What stands in a picture beside its pixels (who took it, where, a remark) must not come along into the sheets
     * that clients load.
     */
    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png"})
    void sheetsCarryNothingButPixels(String format) throws Exception {
        ByteArrayOutputStream marked = withARemark(format);
        Work.DrawnPage page = drawn(Work.open(file(marked.toByteArray()), "photograph." + format), 1)
                .get(0);
        assertThat(new String(marked.toByteArray(), StandardCharsets.ISO_8859_1))
                .contains("canary-7f3a");
        assertThat(new String(page.large(), StandardCharsets.ISO_8859_1)).doesNotContain("canary");
        assertThat(new String(page.small(), StandardCharsets.ISO_8859_1)).doesNotContain("canary");
    }

    private ByteArrayOutputStream withARemark(String format) throws Exception {
        byte[] plain = encoded(picture(900, 600), format);
        byte[] remark = "canary-7f3a".getBytes(StandardCharsets.US_ASCII);
        ByteArrayOutputStream marked = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(marked);
        if (format.equals("jpg")) {
            out.write(plain, 0, 2);
            out.writeShort(0xFFFE);
            out.writeShort(2 + remark.length);
            out.write(remark);
            out.write(plain, 2, plain.length - 2);
        } else {
            int afterHeader = 8 + 4 + 4 + 13 + 4;
            byte[] text =
                    ("Comment\0" + new String(remark, StandardCharsets.US_ASCII)).getBytes(StandardCharsets.US_ASCII);
            CRC32 crc = new CRC32();
            crc.update("tEXt".getBytes(StandardCharsets.US_ASCII));
            crc.update(text);
            out.write(plain, 0, afterHeader);
            out.writeInt(text.length);
            out.write("tEXt".getBytes(StandardCharsets.US_ASCII));
            out.write(text);
            out.writeInt((int) crc.getValue());
            out.write(plain, afterHeader, plain.length - afterHeader);
        }
        return marked;
    }

    @Test
    void aDrawingThatRepeatsItselfWithoutEndIsSaidToBeTooComplicated() throws Exception {
        StringBuilder bomb = new StringBuilder(
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><defs><rect id='r0' width='1' "
                        + "height='1'/>");
        for (int level = 1; level <= 12; level++) {
            bomb.append("<g id='r")
                    .append(level)
                    .append("'>")
                    .append(("<use href='#r" + (level - 1) + "'/>").repeat(10))
                    .append("</g>");
        }
        String repeating = bomb.append("</defs><use href='#r12'/></svg>").toString();
        assertThatThrownBy(() -> Work.open(file(repeating.getBytes(StandardCharsets.UTF_8)), "bomb.svg"))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("too complicated")
                .hasMessageContaining("500,000 shapes");
        String deep = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'>" + "<g>".repeat(5_000)
                + "<rect width='1' height='1'/>" + "</g>".repeat(5_000) + "</svg>";
        assertThatThrownBy(() -> Work.open(file(deep.getBytes(StandardCharsets.UTF_8)), "deep.svg"))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("too complicated");
        String circle = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><g id='a'><use href='#b'/></g><g "
                + "id='b'><use href='#a'/></g></svg>";
        assertThat(Work.open(file(circle.getBytes(StandardCharsets.UTF_8)), "circle.svg")
                        .pages())
                .isOne();
    }
}
