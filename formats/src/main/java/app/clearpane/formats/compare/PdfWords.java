package app.clearpane.formats.compare;

import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.core.markup.Box;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.jspecify.annotations.Nullable;

/** The words of a PDF's pages and where they stand, upright, in fractions of the page. */
public final class PdfWords {
  /** The most words of a page that are compared: a page with more is not read as text. */
  private static final int MOST_WORDS = 20_000;

  private final Map<Integer, List<Word>> byPage;

  private PdfWords(Map<Integer, List<Word>> byPage) {
    this.byPage = byPage;
  }

  /** A file without text. */
  public static PdfWords none() {
    return new PdfWords(Map.of());
  }

  /** Is told after each page. */
  @FunctionalInterface
  public interface AfterPage {
    void read() throws IOException;
  }

  /**
   * Reads all pages.
   *
   * @throws IOException if the file cannot be read as a PDF
   */
  public static PdfWords of(Path file) throws IOException {
    return of(file, () -> {});
  }

  /** The same, telling after each page. @throws IOException if the file cannot be read as a PDF */
  public static PdfWords of(Path file, AfterPage afterPage) throws IOException {
    Map<Integer, List<Word>> byPage = new HashMap<>();
    try (PDDocument document = Loader.loadPDF(file.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
      for (int page = 1; page <= document.getNumberOfPages(); page++) {
        Stripper stripper = new Stripper(document.getPage(page - 1));
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        stripper.getText(document);
        byPage.put(page, stripper.words.size() > MOST_WORDS ? List.of() : List.copyOf(stripper.words));
        afterPage.read();
      }
    } catch (RuntimeException damaged) {
      throw new IOException("its text could not be read", damaged);
    }
    return new PdfWords(byPage);
  }

  /** The words of a page, from 1, in reading order. */
  public List<Word> of(int page) {
    return byPage.getOrDefault(page, List.of());
  }

  /** Gathers letters into words. */
  private static final class Stripper extends PDFTextStripper {
    private final List<Word> words = new ArrayList<>();
    private final double width;
    private final double height;

    Stripper(PDPage page) {
      setSortByPosition(true);
      boolean turned = page.getRotation() % 180 != 0;
      width = turned ? page.getCropBox().getHeight() : page.getCropBox().getWidth();
      height = turned ? page.getCropBox().getWidth() : page.getCropBox().getHeight();
    }

    @Override
    protected void writeString(String text, List<TextPosition> letters) {
      StringBuilder word = new StringBuilder();
      Box box = null;
      for (TextPosition letter : letters) {
        String said = letter.getUnicode() == null ? "" : letter.getUnicode();
        if (said.isBlank()) {
          keep(word, box);
          word.setLength(0);
          box = null;
        } else {
          word.append(said);
          box = box == null ? box(letter) : box.with(box(letter));
        }
      }
      keep(word, box);
    }

    private void keep(StringBuilder word, @Nullable Box box) {
      if (box != null && !word.isEmpty()) {
        words.add(new Word(word.toString(), box.onPage()));
      }
    }

    private Box box(TextPosition letter) {
      double high = Math.max(letter.getHeightDir(), letter.getFontSizeInPt() * 0.7);
      return new Box(letter.getXDirAdj() / width, (letter.getYDirAdj() - high) / height, letter.getWidthDirAdj() / width, high / height);
    }
  }
}
