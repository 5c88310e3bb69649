package app.clearpane.core.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A file of a project.
 *
 * @param folder the folder it lies in; null at the top
 * @param folderName that folder's name; null at the top
 * @param size in bytes
 */
public record ProjectFile(
        ItemId id,
        String name,
        @Nullable ItemId folder,
        @Nullable String folderName,
        Sha256 sha256,
        String mediaType,
        long size,
        Actor addedBy,
        Instant addedAt) {
    /** What an address is kept as (RFC 2483). */
    public static final String LINK = "text/uri-list";

    /** Whether it is an address on the web, kept in place of a file. */
    public boolean isLink() {
        return mediaType.equals(LINK);
    }
}
