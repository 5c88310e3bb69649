package app.clearpane.usecases.reminders;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What of one room waits for somebody of the clients' side and has a day. */
public interface AwaitsSomebody {
    /**
     * Something that waits.
     *
     * @param about what it is
     * @param what to do, as a sentence without its end: "Sign off Visitor map, version 2"
     * @param due when it is due
     * @param since when it became theirs
     * @param address its page on their side
     */
    record Thing(
            UUID about,
            ProjectId project,
            ContactId contact,
            String what,
            Instant due,
            Instant since,
            String address) {}

    /** All of it, in the projects that are worked on. */
    List<Thing> now();

    /** Whether it can be reached by whom it waits for; asked just before they are told. */
    boolean reaches(Thing thing);
}
