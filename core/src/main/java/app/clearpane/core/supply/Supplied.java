package app.clearpane.core.supply;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Something that was given for a part of a request.
 *
 * @param findings what the checks of its part said as it arrived
 * @param typed what was typed, where it is no file; empty for what is sealed, too
 * @param allTheSame why it was sent in spite of what failed; empty if it was not
 */
public record Supplied(
        UUID id,
        UUID part,
        Sha256 sha256,
        String name,
        FileFacts facts,
        Optional<String> typed,
        Came came,
        List<Finding> findings,
        Optional<String> allTheSame,
        Standing standing) {
    /** By which door something came. */
    public enum Door {
        PAGE,
        MAIL
    }

    /** Who gave it, when, and by which door. */
    public record Came(Actor by, Instant at, Door door) {}

    /** What the team made of it. */
    public sealed interface Standing {}

    /** Nobody looked at it yet. */
    public record Arrived() implements Standing {}

    /** It is taken. @param reason why, where a check failed; empty otherwise */
    public record Accepted(Actor by, Instant at, String reason) implements Standing {}

    /** It will not do; another is wanted. */
    public record AskedAgain(Actor by, Instant at, String why) implements Standing {}

    /** It was taken back by its side before we used it. */
    public record TakenBack(Instant at) implements Standing {}

    /** Whether it fills a place: nobody asked for another, and it was not taken back. */
    public boolean fills() {
        return standing instanceof Arrived || isAccepted();
    }

    /** Whether it is a file that can be had: nothing that was typed, sealed or taken back. */
    public boolean isFile() {
        return typed.isEmpty() && facts.bytes() > 0 && !(standing instanceof TakenBack);
    }

    public boolean isAccepted() {
        return standing instanceof Accepted;
    }

    /** Whether a check failed, and its side did not say that it is to be looked at all the same. */
    public boolean holdsUp() {
        return standing instanceof Arrived && allTheSame.isEmpty() && fails();
    }

    /** What became of it. */
    public Verdict verdict() {
        if (standing instanceof Accepted) {
            return Verdict.ACCEPTED;
        }
        if (standing instanceof AskedAgain) {
            return Verdict.ANOTHER_WANTED;
        }
        if (standing instanceof TakenBack) {
            return Verdict.TAKEN_BACK;
        }
        if (holdsUp()) {
            return Verdict.WILL_NOT_DO;
        }
        if (fails()) {
            return Verdict.ALL_THE_SAME;
        }
        return findings.stream().anyMatch(Finding::warns) ? Verdict.WITH_A_WORD : Verdict.GOOD;
    }

    /** Whether a check failed. */
    public boolean fails() {
        return findings.stream().anyMatch(Finding::fails);
    }

    /** What the checks said that weighs most: what fails, else what warns, else what passes. */
    public List<Finding> worst() {
        return findings.stream()
                .filter(one -> one.grade()
                        == findings.stream()
                                .map(Finding::grade)
                                .max(Finding.Grade::compareTo)
                                .orElseThrow())
                .toList();
    }
}
