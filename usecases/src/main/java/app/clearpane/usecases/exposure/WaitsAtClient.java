package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import java.util.List;
import java.util.Optional;

/** What of one room waits at a client. Holding it back brings the turn back to us, so that is asked first (T1). */
public interface WaitsAtClient {
    /**
     * Something that waits.
     *
     * @param who has it, in words: "Jasper", "3 people"
     * @param at the one person it waits at; empty where it waits at several
     */
    record Waiting(ItemId item, String name, String who, Optional<ContactId> at) {}

    /** All of it in a project. @param pane only what would be lost with this pane; empty for all of them */
    List<Waiting> in(ProjectId project, Optional<PaneId> pane);

    /** Brings it back to us. @param because why, as a sentence */
    void bringBack(ItemId item, String because, Actor by);
}
