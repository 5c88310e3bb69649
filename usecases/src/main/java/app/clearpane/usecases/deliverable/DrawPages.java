package app.clearpane.usecases.deliverable;

import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.TakeInWork;
import app.clearpane.usecases.jobs.Job;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Draws the pages of a file one by one, so that the first can be looked at while the rest is drawn. Takes up where it
 * was stopped.
 */
@Component
class DrawPages implements Job {
    static final String NAME = TakeInWork.DRAW;
    private static final Logger LOG = LoggerFactory.getLogger(DrawPages.class);
    private final Drawings drawings;
    private final Vault vault;
    private final DrawApart apart;
    private final DrawingProgress progress;
    private final ApplicationEventPublisher events;

    DrawPages(
            Drawings drawings,
            Vault vault,
            DrawApart apart,
            DrawingProgress progress,
            ApplicationEventPublisher events) {
        this.events = events;
        this.drawings = drawings;
        this.vault = vault;
        this.apart = apart;
        this.progress = progress;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(String about) {
        Sha256 source = new Sha256(about);
        drawings.find(source)
                .filter(drawing -> drawing.state() == Drawings.State.WAITING && drawings.wanted(source))
                .ifPresent(this::draw);
        progress.moved(source);
        events.publishEvent(new DrawingDone(source));
    }

    private void draw(Drawings.Drawing drawing) {
        try {
            apart.draw(new Wish.Draw(vault.path(drawing.source()), drawing.mediaType(), drawing.drawn() + 1), page -> {
                drawings.add(new Drawings.Sheet(
                        drawing.source(),
                        page.page(),
                        page.size(),
                        kept(page.large()),
                        kept(page.small()),
                        page.mediaType()));
                progress.moved(drawing.source());
                if (!drawings.wanted(drawing.source())) {
                    throw new NobodyWants();
                }
            });
            drawings.done(drawing.source());
        } catch (NobodyWants ended) {
            LOG.debug("{} was deleted while it was drawn", drawing.source());
        } catch (UnusableFile unusable) {
            drawings.failed(drawing.source(), unusable.sentence());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What was deleted while it was drawn. Its pages so far stay, and it is drawn on when it is brought back. */
    private static final class NobodyWants extends IOException {
        private static final long serialVersionUID = 1L;
    }

    private Sha256 kept(byte[] picture) throws IOException {
        return vault.store(new ByteArrayInputStream(picture), picture.length).sha256();
    }
}
