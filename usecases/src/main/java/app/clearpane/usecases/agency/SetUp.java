package app.clearpane.usecases.agency;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import java.time.Clock;
import java.time.ZoneId;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Founds the agency with its first owner, and takes people into the team. */
@Component
public class SetUp {
    private static final int SHORTEST_PASSWORD = 12;
    private static final int LONGEST_PASSWORD = 128;
    private final People people;
    private final Records records;
    private final PasswordEncoder passwords;
    private final Clock clock;

    SetUp(People people, Records records, PasswordEncoder passwords, Clock clock) {
        this.people = people;
        this.records = records;
        this.passwords = passwords;
        this.clock = clock;
    }

    /** Says what is wrong with a password as typed. */
    public static void checkPassword(Input input, String password) {
        input.require(
                password.length() >= SHORTEST_PASSWORD && password.length() <= LONGEST_PASSWORD,
                "A password needs " + SHORTEST_PASSWORD + " to " + LONGEST_PASSWORD
                        + " characters; a few unrelated words do well.");
    }

    /** Somebody who joins the team. */
    public record Joining(Name name, EmailAddress email, TeamRole role, String password) {}

    /** Founds the agency. @throws NotFound if there is one already */
    @Transactional
    public TeamMember found(Name name, ZoneId zone, Joining owner) {
        if (people.agency().isPresent()) {
            throw new NotFound();
        }
        Agency agency = people.found(name, zone, clock.instant());
        TeamMember founder = member(owner);
        Actor by = new Actor.OfTeam(founder.id(), founder.name());
        tell(agency, Act.AGENCY_FOUNDED, by, name.value());
        joined(agency, founder, by);
        return founder;
    }

    /** Takes somebody into the team. */
    @Transactional
    public TeamMember join(Agency agency, Joining joining, Actor by) {
        TeamMember member = member(joining);
        joined(agency, member, by);
        return member;
    }

    private TeamMember member(Joining joining) {
        return people.addMember(
                joining.name(), joining.email(), joining.role(), passwords.encode(joining.password()), clock.instant());
    }

    private void joined(Agency agency, TeamMember member, Actor by) {
        tell(
                agency,
                Act.TEAM_JOINED,
                by,
                member.name() + " (" + member.role().name().toLowerCase(java.util.Locale.ROOT) + ")");
    }

    private void tell(Agency agency, Act act, Actor by, String subject) {
        records.append(
                agency.id(),
                agency.id(),
                RecordEntry.What.done(new PeopleActs.HouseFounded(act, by, subject)),
                clock.instant());
    }
}
