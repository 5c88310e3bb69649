package app.clearpane.core.files;

import app.clearpane.core.exposure.ItemId;
import java.util.Optional;

/**
 * A folder of a project.
 *
 * @param parent the folder it lies in; empty at the top
 * @param words what belongs in it; may be empty
 */
public record Folder(ItemId id, String name, Optional<ItemId> parent, String words) {}
