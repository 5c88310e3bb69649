package app.clearpane.usecases.compare;

import app.clearpane.core.compare.Comparison;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.ComparedFile;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.compare.ComparisonText;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.jobs.Job;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.UncheckedIOException;
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
    private final DrawApart apart;
    private final ApplicationEventPublisher events;
    private final AtomicBoolean busy = new AtomicBoolean();

    CompareVersions(
            Comparisons comparisons,
            Drawings drawings,
            Vault vault,
            DrawApart apart,
            ApplicationEventPublisher events) {
        this.apart = apart;
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
                for (Optional<Comparisons.Pair> next = comparisons.nextWaiting();
                        next.isPresent();
                        next = comparisons.nextWaiting()) {
                    compare(next.get());
                    events.publishEvent(new VersionsCompared(next.get()));
                }
            } finally {
                busy.set(false);
            }
        } while (comparisons.nextWaiting().isPresent());
    }

    private void compare(Comparisons.Pair pair) {
        if (!drawings.wanted(pair.before()) || !drawings.wanted(pair.after())) {
            comparisons.forget(pair);
            return;
        }
        try {
            Comparison found = apart.compare(
                    new Wish.Compare(side(pair.before()), side(pair.after())),
                    done -> comparisons.compared(pair, done.page(), done.of()));
            comparisons.done(pair, ComparisonText.write(found));
        } catch (InterruptedIOException stopping) {
            throw new UncheckedIOException(stopping);
        } catch (UnusableFile unusable) {
            comparisons.failed(pair, "One of the two files could not be compared. " + unusable.getMessage());
        } catch (IOException | RuntimeException unreadable) {
            LOG.warn("{} and {} could not be compared", pair.before(), pair.after(), unreadable);
            comparisons.failed(pair, "One of the two files could not be read, so they could not be compared.");
        }
    }

    /** A file as it was drawn, and its words where it has some. */
    private ComparedFile side(Sha256 source) {
        boolean pdf = PDF.equals(
                drawings.find(source).map(Drawings.Drawing::mediaType).orElse(""));
        return new ComparedFile(
                drawings.sheets(source, Work.MOST_PAGES).stream()
                        .map(sheet -> new ComparedFile.Sheet(vault.path(sheet.large()), vault.path(sheet.small())))
                        .toList(),
                pdf ? Optional.of(vault.path(source)) : Optional.empty());
    }
}
