package app.clearpane.store.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A file of a project.
 *
 * @param folder the folder it lies in; null at the top
 * @param folderName that folder's name; null at the top
 * @param size in bytes
 */
public record FileRow(
        ItemId id,
        String name,
        @Nullable ItemId folder,
        @Nullable String folderName,
        Sha256 sha256,
        String mediaType,
        long size,
        String addedBy,
        Instant addedAt) {}
