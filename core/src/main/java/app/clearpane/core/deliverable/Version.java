package app.clearpane.core.deliverable;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One immutable file of a deliverable.
 *
 * @param number what it is called once it was sent; null while it is a draft
 * @param size in bytes
 * @param whatChanged the maker's line about it; may be empty
 */
public record Version(
        VersionId id,
        ItemId deliverable,
        @Nullable Integer number,
        Sha256 sha256,
        String fileName,
        String mediaType,
        long size,
        String whatChanged,
        Actor madeBy,
        Instant createdAt,
        @Nullable Instant sentAt) {

    /** Whether it was not sent yet. */
    public boolean draft() {
        return number == null;
    }

    /** How it is looked at. */
    public WorkKind kind() {
        return WorkKind.of(mediaType);
    }

    /** "version 2", or "draft". */
    public String called() {
        return number == null ? "draft" : "version " + number;
    }
}
