package app.clearpane.core.record.event;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.util.List;
import java.util.Optional;

/** What a Record tells of marks. */
public final class MarkActs {
    private MarkActs() {}

    /** In words: somebody changed a mark on … */
    public record MarkEdited(
            Actor actor,
            String subject,
            MarkupId mark,
            String label,
            String note,
            Intent intent,
            String before,
            boolean forTeam)
            implements Happening {
        @Override
        public boolean leavesTheHouse() {
            return !forTeam;
        }
    }

    /** In words: somebody brought notes along to … */
    public record MarksBrought(Actor actor, String subject, int count, String saidToBeBy, Sha256 file, Sha256 sha256)
            implements Happening {}

    /** In words: somebody made a task of a mark on … */
    public record MarkBecameTask(Actor actor, String subject, MarkupId mark, String label, ItemId task)
            implements Happening {}

    /** In words: somebody gave to somebody of the team a mark on … */
    public record MarkGiven(Actor actor, String subject, MarkupId mark, String label, String to) implements Happening {}

    /** In words: somebody answered or moved a mark on … */
    public record MarkAnswered(
            Act act,
            Actor actor,
            String subject,
            MarkupId mark,
            String label,
            String said,
            boolean forTeam,
            Optional<List<String>> files)
            implements Happening {
        @Override
        public boolean leavesTheHouse() {
            return act.toldOutside() && !forTeam;
        }
    }

    /** In words: somebody marked up … */
    public record MarkPlaced(
            Act act,
            Actor actor,
            String subject,
            MarkupId mark,
            String label,
            Sha256 sha256,
            String where,
            Intent intent,
            String note,
            Optional<String> instead,
            Optional<List<String>> files)
            implements Happening {}

    /** In words: somebody joined two marks that ask for the same on … */
    public record MarkJoined(Actor actor, String subject, MarkupId mark, String label, String with)
            implements Happening {}

    /** In words: somebody lets a mark stand alone again on … */
    public record MarkParted(Actor actor, String subject, MarkupId mark, String label) implements Happening {}
}
