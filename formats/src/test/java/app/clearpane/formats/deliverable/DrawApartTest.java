package app.clearpane.formats.deliverable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files are drawn in a process of their own, as they would be here, and nothing that is in them keeps others from being drawn. */
class DrawApartTest {
  @TempDir private Path folder;
  private DrawApart apart = new DrawApart(Duration.ofMinutes(30));

  @AfterEach
  void end() {
    apart.close();
  }

  private Path plain(int pages) throws IOException {
    Path file = folder.resolve("plain-" + pages + ".pdf");
    try (PDDocument document = new PDDocument()) {
      for (int i = 0; i < pages; i++) {
        PDPage page = new PDPage(PDRectangle.A5);
        document.addPage(page);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
          content.addRect(20 + 10 * i, 30, 100, 200);
          content.fill();
        }
      }
      document.save(file.toFile());
    }
    return file;
  }

  /** A form that draws another ten times, which draws another ten times, and so on: 10^12 rectangles in two kilobytes. */
  private Path endless() throws IOException {
    Path file = folder.resolve("endless.pdf");
    try (PDDocument document = new PDDocument()) {
      PDFormXObject inner = form(document, null, "0 0 5 5 re f ");
      for (int level = 0; level < 12; level++) {
        inner = form(document, inner, "/F Do ".repeat(10));
      }
      PDPage page = new PDPage(PDRectangle.A5);
      document.addPage(page);
      try (PDPageContentStream content = new PDPageContentStream(document, page)) {
        content.drawForm(inner);
      }
      document.save(file.toFile());
    }
    return file;
  }

  private static PDFormXObject form(PDDocument document, PDFormXObject inner, String content) throws IOException {
    PDFormXObject form = new PDFormXObject(document);
    form.setBBox(new PDRectangle(0, 0, 400, 500));
    PDResources resources = new PDResources();
    if (inner != null) {
      resources.put(COSName.getPDFName("F"), inner);
    }
    form.setResources(resources);
    try (var out = form.getContentStream().createOutputStream()) {
      out.write(content.getBytes(StandardCharsets.US_ASCII));
    }
    return form;
  }

  private List<Work.DrawnPage> drawn(Path file, int from) throws Exception {
    List<Work.DrawnPage> pages = new ArrayList<>();
    apart.draw(file, "application/pdf", from, pages::add);
    return pages;
  }

  @Test
  void drawsWhatWouldBeDrawnHere() throws Exception {
    Path file = plain(3);
    assertThat(apart.open(file, "plain.pdf")).isEqualTo(new DrawApart.Opened("application/pdf", 3));
    List<Work.DrawnPage> here = new ArrayList<>();
    Work.known(file, "application/pdf").draw(2, here::add);
    List<Work.DrawnPage> there = drawn(file, 2);
    assertThat(there).hasSize(2);
    for (int i = 0; i < 2; i++) {
      assertThat(there.get(i)).usingRecursiveComparison().isEqualTo(here.get(i));
    }
    List<byte[]> squares = apart.squares(file, "application/pdf", new DrawApart.Rows(1, 3_200, 800, 200, 900));
    BufferedImage same = Work.known(file, "application/pdf").strip(1, 3_200, 800, 200).orElseThrow();
    assertThat(squares).hasSize(4);
    for (int i = 0; i < 4; i++) {
      BufferedImage square = ImageIO.read(new ByteArrayInputStream(squares.get(i)));
      assertThat(square.getWidth()).isEqualTo(i < 3 ? 900 : 500);
      assertThat(square.getHeight()).isEqualTo(200);
      for (int x = 10; x < square.getWidth(); x += 70) {
        assertThat(square.getRGB(x, 100) & 0xFF).as("square %s at %s, JPEG near enough", i, x).isCloseTo(same.getRGB(900 * i + x, 100) & 0xFF, org.assertj.core.data.Offset.offset(12));
      }
    }
    assertThat(apart.squares(file, "application/pdf", new DrawApart.Rows(9, 3_200, 0, 200, 900))).isEmpty();
  }

  @Test
  void whatCannotBeLookedAtIsSaidAndTheNextFileIsDrawn() throws Exception {
    Path broken = Files.writeString(folder.resolve("broken.pdf"), "%PDF-1.7 and nothing more");
    assertThatThrownBy(() -> apart.open(broken, "broken.pdf")).isInstanceOf(UnusableFile.class);
    assertThatThrownBy(() -> apart.open(folder.resolve("gone.pdf"), "gone.pdf")).isInstanceOf(IOException.class);
    assertThat(drawn(plain(1), 1)).hasSize(1);
  }

  @Test
  void whatTakesTooLongIsStoppedAndSaidAndTheNextFileIsDrawn() throws Exception {
    List<ProcessHandle> drawing = new ArrayList<>();
    try (DrawApart impatient = new DrawApart(Duration.ofSeconds(4))) {
      impatient.warmUp();
      ProcessHandle.current().children().forEach(drawing::add);
      assertThatThrownBy(() -> impatient.draw(endless(), "application/pdf", 1, page -> {})).isInstanceOf(UnusableFile.class).hasMessageContaining("longer than 4 seconds").hasMessageContaining("so we stopped");
      assertThat(drawing).isNotEmpty();
      drawing.forEach(one -> one.onExit().join());
    }
    assertThat(drawn(plain(2), 1)).hasSize(2);
  }

  @Test
  void aProcessThatDiesIsSaidAndTheNextFileIsDrawn() throws Exception {
    Path file = plain(60);
    assertThatThrownBy(() -> apart.draw(file, "application/pdf", 1, page -> ProcessHandle.current().children().forEach(ProcessHandle::destroyForcibly)))
        .isInstanceOf(UnusableFile.class).hasMessageContaining("could not be drawn");
    assertThat(drawn(file, 60)).hasSize(1);
  }
}
