package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What a Record tells of versions and releases. */
public final class VersionActs {
    private VersionActs() {}

    /** In words: somebody sent a version of … */
    public record VersionSent(
            Actor actor,
            String subject,
            int version,
            Sha256 sha256,
            int round,
            Instant dueAt,
            List<String> signatories,
            List<String> told)
            implements Happening {}

    /** In words: somebody recalled a version of … */
    public record VersionRecalled(Actor actor, String subject, int version, Sha256 sha256, String reason)
            implements Happening {}

    /** In words: somebody stored a version of … */
    public record VersionStored(Actor actor, String subject, String file, Sha256 sha256, long size, int pages)
            implements Happening {}

    /** In words: somebody added the deliverable … */
    public record DeliverableAdded(Actor actor, String subject, String decidedBy) implements Happening {}

    /** In words: somebody recalled a release of … */
    public record ReleaseRecalled(Actor actor, String subject, String release, String reason) implements Happening {}

    /** Somebody ticked a line of a checklist, or took the tick back. */
    public record ChecklistTurned(Act act, Actor actor, String subject, String line, Integer version)
            implements Happening {}

    /** In words: somebody changed the checklist of … */
    public record ChecklistChanged(Actor actor, String subject, List<String> lines) implements Happening {}

    /** In words: somebody waived a condition for … */
    public record ConditionWaived(Actor actor, String subject, String condition, String reason, Integer version)
            implements Happening {}

    /** In words: somebody handed on a release of … */
    public record ReleaseHanded(Actor actor, String subject, String release, String to, String email)
            implements Happening {}

    /** In words: somebody fetched a release of … */
    public record ReleaseFetched(Actor actor, String subject, String release, String what, long size)
            implements Happening {}

    /** In words: somebody released … */
    public record VersionReleased(
            Actor actor,
            String subject,
            int version,
            Sha256 sha256,
            String release,
            List<String> waived,
            Optional<String> replaces)
            implements Happening {}
}
