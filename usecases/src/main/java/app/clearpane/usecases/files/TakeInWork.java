package app.clearpane.usecases.files;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.formats.deliverable.OfficeWork;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.jobs.Jobs;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Takes in a file of work, finds out what can be seen of it, and has its sheets drawn. */
@Component
public class TakeInWork {
    /** The queue that draws sheets. */
    public static final String DRAW = "draw-pages";

    private final TakeInFile takeIn;
    private final Vault vault;
    private final DrawApart apart;
    private final Drawings drawings;
    private final Jobs jobs;

    TakeInWork(TakeInFile takeIn, Vault vault, DrawApart apart, Drawings drawings, Jobs jobs) {
        this.takeIn = takeIn;
        this.vault = vault;
        this.apart = apart;
        this.drawings = drawings;
        this.jobs = jobs;
    }

    /** A file that was taken in. @param name safe to keep */
    public record Taken(Vault.Stored stored, String name) {}

    /**
     * Takes it in.
     *
     * @throws IOException if it cannot be written; nothing is kept
     * @throws app.clearpane.usecases.shell.Refused if there is no room left for it; nothing is kept
     */
    public Taken take(ProjectId project, String fileName, InputStream content, Actor by) throws IOException {
        apart.warmUp();
        return new Taken(takeIn.take(project, by, content), FileNames.safe(fileName));
    }

    /** The same of a file that may have been sent in parts, which may be larger. */
    public Taken takeResumed(ProjectId project, String fileName, InputStream content, Actor by) throws IOException {
        apart.warmUp();
        return new Taken(takeIn.takeResumed(project, by, content), FileNames.safe(fileName));
    }

    /** What can be seen of it. @throws UnusableFile if it cannot be looked at */
    public Wish.Opened open(Taken taken) throws IOException, UnusableFile {
        return apart.open(new Wish.Open(vault.path(taken.stored().sha256()), taken.name()));
    }

    /** The same, or that its first page can be drawn; nothing if nothing of it can be looked at. */
    public Optional<Wish.Opened> opened(Taken taken) throws IOException {
        try {
            return Optional.of(open(taken));
        } catch (UnusableFile notToBeMarkedUp) {
            String mediaType = mediaType(taken, Optional.empty());
            return Optional.of(new Wish.Opened(mediaType, 1))
                    .filter(office -> OfficeWork.isDrawnHere() && OfficeWork.is(mediaType));
        }
    }

    /** What it is by its content, as a media type. @param work what can be seen of it */
    public String mediaType(Taken taken, Optional<Wish.Opened> work) throws IOException {
        if (work.isPresent()) {
            return work.get().mediaType();
        }
        Path file = vault.path(taken.stored().sha256());
        try {
            return apart.facts(new Wish.Facts(file)).mediaType();
        } catch (UnusableFile takesTooLong) {
            return ContentType.of(file);
        }
    }

    /** Has its sheets drawn, unless they are; part of the transaction that keeps it. */
    public void draw(Taken taken, Wish.Opened work) {
        if (drawings.begin(taken.stored().sha256(), work.mediaType(), work.pages())) {
            jobs.enqueue(DRAW, taken.stored().sha256().hex());
        }
    }
}
