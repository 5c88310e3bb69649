package app.clearpane.core.record.event;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.util.List;

/** What a Record tells of files. */
public final class FileActs {
    private FileActs() {}

    /** In words: somebody added the file … */
    public record FileAdded(Actor actor, String subject, Sha256 sha256, long size) implements Happening {}

    /** In words: somebody added the folder … */
    public record FolderAdded(Actor actor, String subject) implements Happening {}

    /** In words: somebody moved the file … */
    public record FileMoved(Actor actor, String subject, String from, String into) implements Happening {}

    /** In words: somebody renamed the file … @param from what it was called */
    public record FileRenamed(Actor actor, String subject, String from) implements Happening {}

    /** In words: somebody put new content in the place of the file … */
    public record FileReplaced(Actor actor, String subject, Sha256 before, Sha256 sha256, long size)
            implements Happening {}

    /** In words: somebody renamed the folder … @param from what it was called */
    public record FolderRenamed(Actor actor, String subject, String from) implements Happening {}

    /** In words: somebody told of the file … @param to whom, by name @param words said beside it; may be empty */
    public record FileTold(Actor actor, String subject, List<String> to, String words) implements Happening {}

    /** In words: somebody added the link … @param address where it leads */
    public record FileLinked(Actor actor, String subject, String address) implements Happening {}

    /** In words: somebody moved the folder … @param into empty for the top */
    public record FolderMoved(Actor actor, String subject, String into) implements Happening {}

    /** In words: somebody deleted, with all in it, the folder … */
    public record FolderDeleted(Actor actor, String subject) implements Happening {}

    /** Somebody deleted a file, or brought it back. */
    public record FileTurned(Act act, Actor actor, String subject, Sha256 sha256) implements Happening {}
}
