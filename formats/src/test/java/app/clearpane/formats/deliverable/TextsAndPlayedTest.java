package app.clearpane.formats.deliverable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.markup.Writing;
import app.clearpane.core.markup.Writing.Style;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.jcodec.api.awt.AWTSequenceEncoder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Texts as they are read, and what is played as far as it can be looked at. */
class TextsAndPlayedTest {
    @TempDir
    Path folder;

    private Path file(String name, byte[] content) throws IOException {
        return Files.write(folder.resolve(name), content);
    }

    private Path file(String name, String content) throws IOException {
        return file(name, content.getBytes(StandardCharsets.UTF_8));
    }

    private static List<Work.DrawnPage> drawn(Work work) throws IOException, UnusableFile {
        List<Work.DrawnPage> pages = new ArrayList<>();
        work.draw(1, pages::add);
        return pages;
    }

    @Test
    void readsMarkdownWithoutItsSigns() throws Exception {
        Path text = file(
                "panel.md",
                "# Texts\n\nYour eyes need **twenty\nminutes** to see.\n\n- Schools, *on Tuesdays*\n- "
                        + "Families\n\n> Look up.\n\n```\na = 1\n```\n<script>alert(1)</script>\n");
        Work work = Work.open(text, "panel.md");
        assertThat(work.mediaType()).isEqualTo("text/markdown");
        Writing writing = Texts.read(text, work.mediaType());
        assertThat(writing.paragraphs())
                .extracting(Writing.Paragraph::style)
                .containsExactly(Style.TITLE, Style.BODY, Style.ITEM, Style.ITEM, Style.QUOTE, Style.CODE, Style.CODE);
        assertThat(writing.plain())
                .isEqualTo("Texts\nYour eyes need twenty minutes to see.\nSchools, on Tuesdays\nFamilies\nLook up.\na "
                        + "= 1\n<script>alert(1)</script>");
        assertThat(writing.paragraphs().get(1).words())
                .filteredOn(Writing.Words::strong)
                .extracting(Writing.Words::text)
                .containsExactly("twenty", " ", "minutes");
        assertThat(drawn(work))
                .singleElement()
                .satisfies(page -> assertThat(page.size().ratio()).isBetween(1.3, 1.5));
    }

    @Test
    void readsPlainTextInAnyOfItsEncodings() throws Exception {
        assertThat(Texts.read(file("a.txt", "\uFEFFOne\r\nline.\r\n\r\nTwo"), "text/plain")
                        .plain())
                .isEqualTo("One line.\nTwo");
        assertThat(Texts.read(file("b.txt", "Café, “Nacht”".getBytes("windows-1252")), "text/plain")
                        .plain())
                .isEqualTo("Café, “Nacht”");
        assertThat(Texts.read(file("c.txt", "Sterne".getBytes(StandardCharsets.UTF_16)), "text/plain")
                        .plain())
                .isEqualTo("Sterne");
        assertThat(drawn(Work.open(file("d.txt", "a \u001b b & <c>"), "d.txt")))
                .as("characters that XML cannot hold")
                .hasSize(1);
    }

    @Test
    void readsTheWordsOfADocx() throws Exception {
        Path file = folder.resolve("text.docx");
        try (XWPFDocument document = new XWPFDocument();
                OutputStream out = Files.newOutputStream(file)) {
            XWPFParagraph heading = document.createParagraph();
            heading.setStyle("Heading1");
            heading.createRun().setText("The old dome");
            XWPFRun bold = document.createParagraph().createRun();
            bold.setBold(true);
            bold.setText("Built in 1911");
            document.createTable(1, 2).getRow(0).getCell(1).setText("in a table");
            document.write(out);
        }
        Work work = Work.open(file, "text.docx");
        Writing writing = Texts.read(file, work.mediaType());
        assertThat(writing.plain()).isEqualTo("The old dome\nBuilt in 1911\nin a table");
        assertThat(writing.paragraphs().get(0).style()).isEqualTo(Style.TITLE);
        assertThat(writing.paragraphs().get(1).words().get(0).strong()).isTrue();
        assertThat(drawn(work)).hasSize(1);
    }

    @Test
    void refusesWhatCannotBeReadWithASentence() throws Exception {
        assertThatThrownBy(() -> Work.open(file("blank.md", " \n\n"), "blank.md"))
                .isInstanceOf(UnusableFile.class)
                .hasMessageContaining("no word");
        assertThatThrownBy(() -> Work.open(file("long.txt", "word ".repeat(250_000)), "long.txt"))
                .hasMessageContaining("1,000,000 characters");
        assertThatThrownBy(() -> Work.open(file("page.html", "<html><body>x</body></html>"), "page.html"))
                .hasMessageContaining("can be looked at");
        Path docx = folder.resolve("cut.docx");
        try (XWPFDocument document = new XWPFDocument();
                OutputStream out = Files.newOutputStream(docx)) {
            document.createParagraph().createRun().setText("x");
            document.write(out);
        }
        byte[] whole = Files.readAllBytes(docx);
        byte[] cut = java.util.Arrays.copyOf(whole, whole.length / 2);
        assertThatThrownBy(() -> Work.open(file("cut2.docx", cut), "cut2.docx")).isInstanceOf(UnusableFile.class);
    }

    @Test
    void takesAPictureFromAVideo() throws Exception {
        Path file = folder.resolve("film.mp4");
        AWTSequenceEncoder encoder = AWTSequenceEncoder.createSequenceEncoder(file.toFile(), 10);
        for (int i = 0; i < 20; i++) {
            java.awt.image.BufferedImage picture =
                    new java.awt.image.BufferedImage(320, 180, java.awt.image.BufferedImage.TYPE_INT_RGB);
            picture.createGraphics().fillRect(0, 0, 320, 180);
            encoder.encodeImage(picture);
        }
        encoder.finish();
        Work work = Work.open(file, "film.mp4");
        assertThat(work.mediaType()).isEqualTo("video/mp4");
        Work.DrawnPage poster = drawn(work).get(0);
        assertThat(poster.size().width()).isEqualTo(320);
        assertThat(poster.size().height()).isEqualTo(180);
    }

    @Test
    void aVideoThatCannotBeDecodedHasAPlainPlate() throws Exception {
        byte[] webm = ("\u001aE\u00df\u00a3\u0001\u0000\u0000\u0000\u0000\u0000\u0000\u001fB\u0082\u0084webm"
                        + "x".repeat(200))
                .getBytes(StandardCharsets.ISO_8859_1);
        Work work = Work.open(file("broken.webm", webm), "broken.webm");
        assertThat(work.mediaType()).isEqualTo("video/webm");
        assertThat(drawn(work).get(0).size().ratio()).isEqualTo(0.5625);
    }

    @Test
    void drawsHowLoudASoundIs() throws Exception {
        byte[] samples = new byte[16_000];
        for (int i = 8_000; i + 1 < samples.length; i += 2) {
            samples[i + 1] = (byte) (i % 4 == 0 ? 0x60 : 0xA0);
        }
        Path file = folder.resolve("tone.wav");
        AudioSystem.write(
                new AudioInputStream(
                        new ByteArrayInputStream(samples), new AudioFormat(8_000, 16, 1, true, false), 8_000),
                AudioFileFormat.Type.WAVE,
                file.toFile());
        Work work = Work.open(file, "tone.wav");
        assertThat(work.mediaType()).isEqualTo("audio/wav");
        double[] peaks = WavePeaks.of(file, 4);
        assertThat(java.util.Arrays.stream(peaks)
                        .mapToObj(peak -> "%.2f".formatted(peak))
                        .collect(Collectors.toList()))
                .containsExactly("0.00", "0.00", "0.75", "0.75");
        assertThat(drawn(work)).hasSize(1);
        assertThat(WavePeaks.of(file("not.wav", "RIFF1234WAVEjunk"), 4)).isEmpty();
    }
}
