package app.clearpane.core.viewer;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Passage;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who may look through one pane now. Made by {@link Viewers} only, after the door was passed (V3), and needed
 * for every reading on the clients' side.
 *
 * @param name the contact's name
 * @param published what passes as published, under the ceilings
 * @param pending what passes as pending, under the ceilings
 * @param sight whether they see what is published, or the team looks ahead
 * @param link what the team calls the link, where they have nothing but a link with its own key: nobody knows who they
 *     are, and they never decide
 * @param elsewhere whether the same person has a seat at another pane of the project
 * @param until when the pane closes to them; null if it stays open
 * @param planRevision of the project's plan, so that what was computed of it can be found again
 * @param rest that the project rests or was put away, since when; empty while it is worked on
 * @param today the agency's day on which they look
 * @param looking whether this is one of the team looking through the seat, who may change nothing
 */
public record Viewer(
        ContactId contact,
        String name,
        SeatId seat,
        SeatRole role,
        boolean leadVoice,
        PaneId pane,
        ProjectId project,
        Map<ContentKind, Passage> published,
        Map<ContentKind, Passage> pending,
        Sight sight,
        boolean looking,
        Optional<String> link,
        boolean elsewhere,
        @Nullable Instant until,
        int planRevision,
        Optional<Rest> rest,
        Today today) {

    /** What a guest is called who gave no name. */
    public static final String NAMELESS = "Guest";

    /**
     * That a project rests, or was put away for good: it can be looked at, and nothing can be added. @param ended how
     * it ended; empty while it only rests
     */
    public record Rest(Optional<Ending> ended, Instant since) {
        /** How it rests, of what is kept: it was put away, it ended, it was paused. */
        public static Optional<Rest> of(
                @Nullable Instant archivedAt, @Nullable Ending ended, @Nullable Instant pausedAt) {
            return archivedAt != null
                    ? Optional.of(new Rest(Optional.ofNullable(ended), archivedAt))
                    : Optional.ofNullable(pausedAt).map(since -> new Rest(Optional.empty(), since));
        }

        /** Whether it was put away for good. */
        public boolean archived() {
            return ended.isPresent();
        }

        /** How it stands, after "This project". */
        public String words() {
            return ended.map(
                            how -> how == Ending.FINISHED ? "is finished and was put away" : "was stopped and put away")
                    .orElse("rests");
        }
    }

    /** Whether they may do something here at all, beside looking. */
    public boolean mayAct() {
        return !looking && rest.isEmpty();
    }

    /** Whether they may say something at, or bring something to, what was given to them or lies open before them. */
    public boolean mayAddTo(boolean theirs) {
        return mayAct() && (theirs || role.mayMarkUp() && !byLink());
    }

    /** Whether they may keep files of their own here: files are shown here, and they may say something at them. */
    public boolean mayKeepFiles() {
        return mayAddTo(false) && showsFiles();
    }

    /** Whether any files can be seen here. */
    public boolean showsFiles() {
        return isOpen(pending) && (sight == Sight.AFTER_PUBLISHING || isOpen(published));
    }

    private static boolean isOpen(Map<ContentKind, Passage> passages) {
        return passages.getOrDefault(ContentKind.FILES, Passage.NOTHING).aperture() != Aperture.CLOSED;
    }

    /** Which settings count. */
    public enum Sight {
        /** What passes both the published and the pending settings. */
        NOW,
        /** What passes the pending settings. */
        AFTER_PUBLISHING
    }

    /** Whether they have nothing but a link with its own key. */
    public boolean byLink() {
        return link.isPresent();
    }

    /** Who they are where something is written down. */
    public Actor actor() {
        return link.<Actor>map(called -> new Actor.Guest(seat, called, name.equals(NAMELESS) ? "" : name))
                .orElseGet(() -> new Actor.OfClient(contact, name));
    }

    public Viewer {
        published = Map.copyOf(published);
        pending = Map.copyOf(pending);
    }

    /**
     * The lesser of the two apertures that count for a kind; nothing a single item is set to can pass more than that.
     */
    public Aperture aperture(ContentKind kind) {
        Aperture ahead = pending.getOrDefault(kind, Passage.NOTHING).aperture();
        Aperture now = sight == Sight.AFTER_PUBLISHING
                ? ahead
                : published.getOrDefault(kind, Passage.NOTHING).aperture();
        return ahead.compareTo(now) < 0 ? ahead : now;
    }

    /** Whether the whole of a kind is open, for the kinds that have no single items. */
    public boolean open(ContentKind kind) {
        return aperture(kind) == Aperture.OPEN;
    }
}
