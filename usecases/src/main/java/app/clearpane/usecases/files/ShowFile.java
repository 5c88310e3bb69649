package app.clearpane.usecases.files;

import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.files.Inside;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.NoRoomNow;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.OfficeWork;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.files.Vault;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What is shown of a file itself. Where it has no pages to draw, what stands in it is read once, and kept while it is
 * asked for.
 */
@Component
public class ShowFile {
    private static final int MOST_KEPT = 100;

    private final Vault vault;
    private final DrawApart apart;
    private final KeepLink keepLink;
    private final ShowInPlace showInPlace;
    private final Cache<Sha256, Read> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    ShowFile(Vault vault, DrawApart apart, KeepLink keepLink, ShowInPlace showInPlace) {
        this.showInPlace = showInPlace;
        this.keepLink = keepLink;
        this.vault = vault;
        this.apart = apart;
    }

    /**
     * What is shown of a file.
     *
     * @param leads where a link leads
     * @param inside what stands in it; empty where all its pages are shown, it is played, or leads elsewhere
     * @param why nothing can be shown; empty if something is
     * @param onlyWords whether its first page would be drawn if an office program were installed here
     */
    public record Shown(
            WorkKind kind, Optional<String> leads, Optional<Inside> inside, String why, boolean onlyWords, Live live) {}

    /**
     * Where a link leads. @param inPlace whether it is shown in place @param pictured when the last picture of it was
     * taken
     */
    public record Live(boolean inPlace, Optional<Instant> pictured) {}

    private record Read(Optional<Inside> inside, String why) {}

    /**
     * What is shown of a file. @param drawn whether there are pictures of its pages @throws IOException if it cannot be
     * read
     */
    public Shown show(ProjectFile file, boolean drawn) throws IOException {
        WorkKind kind = WorkKind.of(file.mediaType());
        Optional<String> leads = keepLink.address(file);
        boolean office = OfficeWork.is(file.mediaType());
        Read read = kind.played() || file.isLink() || (drawn && !office)
                ? new Read(Optional.empty(), "")
                : inside(file.sha256());
        return new Shown(
                kind,
                leads,
                read.inside(),
                drawn ? "" : read.why(),
                office && !OfficeWork.isDrawnHere(),
                new Live(showInPlace.address(file).isPresent(), showInPlace.pictured(file)));
    }

    private Read inside(Sha256 file) throws IOException {
        Read known = kept.getIfPresent(file);
        if (known != null) {
            return known;
        }
        try {
            Read read = read(file);
            kept.put(file, read);
            return read;
        } catch (NoRoomNow busy) {
            return new Read(Optional.empty(), "Too many files are being opened just now. Load the page again.");
        }
    }

    private Read read(Sha256 file) throws IOException {
        try {
            Inside inside = apart.inside(new Wish.Within(vault.path(file)));
            return inside.isEmpty()
                    ? new Read(Optional.empty(), "Nothing stands in it.")
                    : new Read(Optional.of(inside), "");
        } catch (UnusableFile notShown) {
            return new Read(Optional.empty(), notShown.sentence());
        }
    }
}
