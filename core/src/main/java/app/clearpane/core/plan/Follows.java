package app.clearpane.core.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.supply.RequestId;

/** What a task of the plan stands for: it moves with that by itself. */
public sealed interface Follows {
    /** The making or the review of a deliverable. */
    record OfDeliverable(ItemId deliverable) implements Follows {}

    /** Something the client is asked to supply. */
    record OfRequest(RequestId request) implements Follows {}

    /** A paper the client is to agree to, sign or pay. */
    record OfPaper(PaperId paper) implements Follows {}

    /** Whether it is something of the client's that we look at or answer while it is in check. */
    default boolean comesToUs() {
        return !(this instanceof OfDeliverable);
    }
}
