package app.clearpane.usecases.compare;

import app.clearpane.core.compare.TextChanges;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.FoundAgain;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Writing;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The texts of versions that are read, and what changed between them. Worked out when first asked for and kept a while.
 */
@Component
public class Writings {
    private static final int KEPT = 100;
    private static final int KEPT_PLACES = 5_000;
    private final Vault vault;
    private final DrawApart apart;
    private final Cache<Sha256, Text> read =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    private final Cache<Pair, TextChanges> compared =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    private final Cache<Sought, Optional<Place>> found =
            Caffeine.newBuilder().maximumSize(KEPT_PLACES).build();
    private final Drawings drawings;

    Writings(Vault vault, DrawApart apart, Drawings drawings) {
        this.drawings = drawings;
        this.apart = apart;
        this.vault = vault;
    }

    private record Text(Writing writing, String plain) {}

    private record Pair(Sha256 before, Sha256 after) {}

    private record Sought(Sha256 in, Place.TextRange range) {}

    /** The text of a version; empty if it is not one. */
    public Optional<Writing> writingOf(Version version) {
        return text(version).map(Text::writing);
    }

    /** The same without any looks. */
    public Optional<String> plain(Version version) {
        return text(version).map(Text::plain);
    }

    private Optional<Text> text(Version version) {
        return version.kind() == WorkKind.TEXT
                ? Optional.of(read.get(version.sha256(), source -> read(source, version.mediaType())))
                : Optional.empty();
    }

    private Text read(Sha256 source, String mediaType) {
        try {
            Writing writing = apart.writing(new Wish.Read(vault.path(source), mediaType));
            return new Text(writing, writing.plain());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (UnusableFile readOnArrival) {
            throw new IllegalStateException("the text could be read when it came: " + source, readOnArrival);
        }
    }

    /** How many sheets a version has. */
    public int sheets(Version version) {
        return drawings.find(version.sha256()).orElseThrow().pages();
    }

    /** What changed between two versions; empty unless both are texts. */
    public Optional<TextChanges> changes(Version before, Version after) {
        Optional<Writing> earlier = writingOf(before);
        Optional<Writing> later = writingOf(after);
        return earlier.isEmpty() || later.isEmpty()
                ? Optional.empty()
                : Optional.of(compared.get(
                        new Pair(before.sha256(), after.sha256()), pair -> TextChanges.of(earlier.get(), later.get())));
    }

    /** Where a stretch of an earlier version's text is in another's; empty if it is gone. */
    Optional<Place> again(Place.TextRange range, Version in) {
        return found.get(
                new Sought(in.sha256(), range), sought -> plain(in).flatMap(text -> FoundAgain.in(text, range)));
    }
}
