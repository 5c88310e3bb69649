package app.clearpane.core.record.event;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.time.Instant;
import java.util.Optional;

/** What a Record tells of people and ways in. */
public final class PeopleActs {
    private PeopleActs() {}

    /** In words: somebody reminded somebody of … */
    public record ReminderSent(Actor actor, String subject, String to, Instant due, String occasion)
            implements Happening {}

    /** In words: somebody added the contact … */
    public record ContactAdded(Actor actor, String subject, String address) implements Happening {}

    /** In words: somebody changed the contact … @param before the name and the address as they were */
    public record ContactChanged(Actor actor, String subject, String address, String before) implements Happening {}

    /** A lead voice wishes somebody to have a seat, or was answered. @param said their address, or why not */
    public record SeatWished(Act act, Actor actor, String subject, String name, String said, SeatRole role)
            implements Happening {}

    /** Somebody of the team was named for a project, or is no longer. @param shown whether clients read of them */
    public record PersonOfProject(Act act, Actor actor, String subject, String does, boolean shown)
            implements Happening {}

    /** Somebody said how the house works. @param said what is so now */
    public record HouseSays(Act act, Actor actor, String subject, String said) implements Happening {}

    /**
     * Somebody changed how we stand to a client, its name, or who of its people is there. @param how the relation, the
     * name it had, or the client
     */
    public record ClientChanged(Act act, Actor actor, String subject, String how) implements Happening {}

    /** In words: somebody chose a password … */
    public record TeamPasswordChosen(Actor actor, String subject, Optional<String> how) implements Happening {}

    /** Somebody changed how the team signs in. */
    public record SecondStepTurned(Act act, Actor actor, String subject) implements Happening {}

    /** Somebody founded the house. */
    public record HouseFounded(Act act, Actor actor, String subject) implements Happening {}

    /** In words: somebody came by a link to … */
    public record LinkOpened(Actor actor, String subject, String link, String address) implements Happening {}

    /** In words: somebody took their seat at … */
    public record SeatAccepted(Actor actor, String subject, String address, SeatRole role) implements Happening {}

    /** In words: somebody made a link to … */
    public record LinkMade(Actor actor, String subject, String link, boolean mayMark, String passcode, String lastDay)
            implements Happening {}

    /** Somebody renewed a link, or took it back. */
    public record LinkTurned(Act act, Actor actor, String subject, String link) implements Happening {}

    /** In words: somebody said how everybody works at … */
    public record HouseRulesSet(Actor actor, String subject, String rules) implements Happening {}

    /** Somebody said whether clients may be given tasks. */
    public record ClientsAndTasks(Act act, Actor actor, String subject) implements Happening {}

    /** In words: somebody said when people are reminded at … */
    public record RemindersSet(
            Actor actor,
            String subject,
            Optional<Integer> hour,
            Optional<Integer> every,
            Optional<Integer> most,
            Optional<String> remind)
            implements Happening {}

    /** In words: somebody took into the team … */
    public record TeamJoined(Actor actor, String subject, String address, TeamRole role) implements Happening {}

    /** In words: somebody sent a link to … */
    public record TeamLinkSent(Actor actor, String subject, String address) implements Happening {}

    /** In words: somebody changed the role of … */
    public record TeamRoleChanged(Actor actor, String subject, TeamRole from, TeamRole to) implements Happening {}

    /** In words: somebody let go from the team … */
    public record TeamLeft(Actor actor, String subject, String takesOver, int projects, int tasks)
            implements Happening {}

    /** In words: somebody said how long the team stays signed in at … */
    public record TeamSessionsSet(Actor actor, String subject, int idleHours, int days) implements Happening {}

    /** In words: somebody gave a seat at … */
    public record SeatGiven(Actor actor, String subject, String name, String address, SeatRole role)
            implements Happening {}

    /** In words: somebody changed a seat at … */
    public record SeatChanged(Actor actor, String subject, String name, SeatRole role) implements Happening {}

    /** In words: somebody named the lead voice of … */
    public record LeadVoiceNamed(Actor actor, String subject, String name) implements Happening {}

    /** In words: somebody ended a seat at … */
    public record SeatEnded(Actor actor, String subject, String name) implements Happening {}

    /** In words: somebody sent a link to … */
    public record SeatInvited(Actor actor, String subject, String name, String address) implements Happening {}
}
