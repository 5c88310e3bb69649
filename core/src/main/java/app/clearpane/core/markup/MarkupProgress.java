package app.clearpane.core.markup;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** How far a markup is. */
public enum MarkupProgress {
    OPEN,
    TAKEN_ON,
    FIXED,
    CONFIRMED,
    SET_ASIDE,
    WITHDRAWN;

    /** What somebody can do to a markup. */
    public enum Act {
        /** The team will see to it. */
        TAKE_ON(Side.TEAM, EnumSet.of(OPEN), TAKEN_ON),
        /** The team has put it right in a version. */
        FIX(Side.TEAM, EnumSet.of(OPEN, TAKEN_ON), FIXED),
        /** The team will not follow it, and says why. */
        SET_ASIDE(Side.TEAM, EnumSet.of(OPEN, TAKEN_ON), MarkupProgress.SET_ASIDE),
        /** The client agrees that it is put right. */
        CONFIRM(Side.CLIENT, EnumSet.of(FIXED), CONFIRMED),
        /** It is not put right, or matters after all. */
        REOPEN(Side.EITHER, EnumSet.of(FIXED, CONFIRMED, MarkupProgress.SET_ASIDE, WITHDRAWN), OPEN),
        /** Its author takes it back. */
        WITHDRAW(Side.AUTHOR, EnumSet.of(OPEN, TAKEN_ON, FIXED), WITHDRAWN);

        private final Side side;
        private final Set<MarkupProgress> from;
        private final MarkupProgress to;

        Act(Side side, Set<MarkupProgress> from, MarkupProgress to) {
            this.side = side;
            this.from = from;
            this.to = to;
        }

        /** Whether it is work on what a mark asks for: a mark that asks for nothing has none. */
        public boolean works() {
            return this == TAKE_ON || this == FIX;
        }
    }

    private enum Side {
        TEAM,
        CLIENT,
        EITHER,
        AUTHOR
    }

    /**
     * Who acts, as far as it matters.
     *
     * @param party whose people they are of
     * @param author whether they wrote the markup
     */
    public record Actor(Party party, boolean author) {}

    /** Whose people somebody is of. */
    public enum Party {
        TEAM,
        CLIENT,
        /** Whoever comes by a link: they mark and answer, and settle nothing. */
        GUEST
    }

    /** What this becomes by an act of this person; empty if the act is not theirs or not possible now. */
    public Optional<MarkupProgress> after(Act act, Actor actor) {
        boolean theirs = actor.party() != Party.GUEST
                && switch (act.side) {
                    case TEAM -> actor.party() == Party.TEAM;
                    case CLIENT -> actor.party() == Party.CLIENT || actor.author();
                    case EITHER -> true;
                    case AUTHOR -> actor.author();
                };
        return theirs && act.from.contains(this) ? Optional.of(act.to) : Optional.empty();
    }

    /**
     * The same on a version that was agreed: its clients asked for nothing more then, so they open nothing again but
     * ask anew, for the next version.
     */
    public Optional<MarkupProgress> after(Act act, Actor actor, boolean agreed) {
        return agreed && act == Act.REOPEN && actor.party() == Party.CLIENT ? Optional.empty() : after(act, actor);
    }

    /** Whether it still asks for something: open or taken on. */
    public boolean unsettled() {
        return this == OPEN || this == TAKEN_ON;
    }

    /**
     * Whether nobody can sign while it is so (R2): a change that is asked for, unsettled. What a guest asks for, or the
     * team among themselves, blocks nobody.
     *
     * @param party who asks for it
     */
    public boolean blocksSigning(Intent intent, Party party, boolean teamOnly) {
        return intent == Intent.CHANGE && unsettled() && !teamOnly && party != Party.GUEST;
    }

    /** Whether it stays on later versions until somebody settles it (M5). */
    public boolean carriesOver() {
        return unsettled() || this == FIXED;
    }

    /**
     * Whether it stands on a version (M5): it was placed there, or earlier and nobody settled it, or it was fixed
     * there, so that it can be reopened where that is seen.
     *
     * @param placedHere whether it was placed on that version
     * @param placedEarlier whether it was placed on one before
     * @param fixedHere whether it was fixed in that version
     */
    public boolean stands(boolean placedHere, boolean placedEarlier, boolean fixedHere) {
        return placedHere || placedEarlier && (carriesOver() || this == CONFIRMED && fixedHere);
    }

    /**
     * Whether a sign-off confirms it (R2): the signer's own where it is fixed, and every other with the sign-off that
     * completes the rule.
     *
     * @param signersOwn whether it is the signer's, or of whoever they stand in for
     * @param completes whether the sign-off completes the rule
     */
    public boolean confirmedBySigning(boolean signersOwn, boolean completes) {
        return this == FIXED && (signersOwn || completes);
    }

    /**
     * What a client is told: that something is fixed only once the version it is fixed in was sent, since an unsent
     * version does not exist for them (V4).
     */
    public MarkupProgress toldToClients(boolean fixSent) {
        return this == FIXED && !fixSent ? TAKEN_ON : this;
    }

    public boolean isConfirmed() {
        return this == CONFIRMED;
    }

    public boolean isFixed() {
        return this == FIXED;
    }

    public boolean isTakenOn() {
        return this == TAKEN_ON;
    }
}
