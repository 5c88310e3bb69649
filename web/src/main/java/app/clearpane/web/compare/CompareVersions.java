package app.clearpane.web.compare;

import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.Raster;
import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.compare.ComparisonText;
import app.clearpane.formats.compare.PdfWords;
import app.clearpane.formats.compare.Rasters;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.web.jobs.Job;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Compares two files page by page, as they were drawn. */
@Component
class CompareVersions implements Job {
  static final String NAME = "compare-versions";
  private static final Logger LOG = LoggerFactory.getLogger(CompareVersions.class);
  private static final String PDF = "application/pdf";
  private final Comparisons comparisons;
  private final Drawings drawings;
  private final Vault vault;
  private final ApplicationEventPublisher events;
  private final AtomicBoolean busy = new AtomicBoolean();

  CompareVersions(Comparisons comparisons, Drawings drawings, Vault vault, ApplicationEventPublisher events) {
    this.events = events;
    this.comparisons = comparisons;
    this.drawings = drawings;
    this.vault = vault;
  }

  @Override
  public String name() {
    return NAME;
  }

  /** Compares whatever waits, one pair at a time, so that drawing and mail are never kept waiting for it. */
  @Override
  public void run(String about) {
    do {
      if (!busy.compareAndSet(false, true)) {
        return;
      }
      try {
        for (Optional<Comparisons.Pair> next = comparisons.nextWaiting(); next.isPresent(); next = comparisons.nextWaiting()) {
          compare(next.get());
          events.publishEvent(new VersionsCompared(next.get()));
        }
      } finally {
        busy.set(false);
      }
    } while (comparisons.nextWaiting().isPresent());
  }

  private void compare(Comparisons.Pair pair) {
    try {
      Comparison found = Comparison.of(new Sheets(pair.before()), new Sheets(pair.after()), (page, of) -> comparisons.compared(pair, page, of));
      comparisons.done(pair, ComparisonText.write(found));
    } catch (IOException | RuntimeException unreadable) {
      LOG.warn("{} and {} could not be compared", pair.before(), pair.after(), unreadable);
      comparisons.failed(pair, "One of the two files could not be read, so they could not be compared.");
    }
  }

  /** The drawn pages of a file. */
  private final class Sheets implements Comparison.Source {
    private final List<Drawings.Sheet> sheets;
    private final PdfWords words;

    Sheets(Sha256 source) throws IOException {
      sheets = drawings.sheets(source, Work.MOST_PAGES);
      words = PDF.equals(drawings.find(source).map(Drawings.Drawing::mediaType).orElse("")) ? PdfWords.of(vault.path(source)) : PdfWords.none();
    }

    @Override
    public int pages() {
      return sheets.size();
    }

    @Override
    public Object known(int page) {
      return sheets.get(page - 1).large();
    }

    @Override
    public Raster small(int page) {
      return read(sheets.get(page - 1).small());
    }

    @Override
    public Raster large(int page) {
      return read(sheets.get(page - 1).large());
    }

    @Override
    public List<Word> words(int page) {
      return words.of(page);
    }

    private Raster read(Sha256 picture) {
      try {
        return Rasters.read(vault.path(picture));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
