package app.clearpane.core.project;

import java.time.LocalDate;
import java.util.UUID;

/**
 * A part of a project, one after another.
 *
 * @param endsOn the last day
 * @param words what is done in it, in a line that clients read beside it; may be empty
 */
public record Phase(
        UUID id, String name, LocalDate startsOn, LocalDate endsOn, Stage stage, String words, int revision) {
    /** One without a line. */
    public Phase(UUID id, String name, LocalDate startsOn, LocalDate endsOn, Stage stage, int revision) {
        this(id, name, startsOn, endsOn, stage, "", revision);
    }

    /** How far a phase is. */
    public enum Stage {
        TO_DO,
        UNDER_WAY,
        DONE;

        public boolean isDone() {
            return this == DONE;
        }

        public boolean isToDo() {
            return this == TO_DO;
        }

        public boolean isUnderWay() {
            return this == UNDER_WAY;
        }
    }

    /** As it stands, whatever was said of it: not done while something in it is open. */
    public Phase standing(boolean somethingIsOpen) {
        return stage == Stage.DONE && somethingIsOpen
                ? new Phase(id, name, startsOn, endsOn, Stage.UNDER_WAY, words, revision)
                : this;
    }
}
