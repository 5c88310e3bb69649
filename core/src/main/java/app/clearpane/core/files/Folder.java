package app.clearpane.core.files;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import java.util.Optional;

/**
 * A folder of a project.
 *
 * @param parent the folder it lies in; empty at the top
 * @param words what belongs in it; may be empty
 * @param madeAt the pane at which the client's people made it for what they keep there; empty for a folder of the house
 */
public record Folder(ItemId id, String name, Optional<ItemId> parent, String words, Optional<PaneId> madeAt) {
    /** One of the house. */
    public Folder(ItemId id, String name, Optional<ItemId> parent, String words) {
        this(id, name, parent, words, Optional.empty());
    }

    /** Whether the client's people made it. */
    public boolean isTheirs() {
        return madeAt.isPresent();
    }
}
