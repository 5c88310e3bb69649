package app.clearpane.usecases.agency;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.Owners;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.agency.SignIns;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Concerns;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes people into the team, gives them roles, and lets them leave with their work in other hands. */
@Component
public class KeepTeam {
    private static final int MOST_CONTACT_DAYS = 365;
    /** Where somebody chooses their password. */
    public static final String PASSWORD_PAGE = "/t/password";

    private final People people;
    private final Reach reach;
    private final Work work;
    private final PasswordEncoder passwords;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteToTeam toTeam;

    KeepTeam(
            People people,
            Reach reach,
            Work work,
            PasswordEncoder passwords,
            TheAgency agency,
            AuditLog audit,
            WriteToTeam toTeam) {
        this.toTeam = toTeam;
        this.people = people;
        this.reach = reach;
        this.work = work;
        this.passwords = passwords;
        this.agency = agency;
        this.audit = audit;
    }

    /** By which ways one of the team gets in. */
    @Component
    record Reach(SignInLinks signInLinks, Sessions sessions, SignIns signIns, Feeds feeds) {}

    /** What one of the team may have in hand. */
    @Component
    record Work(Projects projects, Tasks tasks, Concerns concerns) {}

    /** Somebody new as typed. */
    public record Joining(String name, String email, TeamRole role) {}

    /**
     * Takes somebody in, and mails them a link to choose their password by. @throws Refused if the address is in use
     */
    @Transactional
    public void join(Joining joining, Actor by) {
        Input input = new Input();
        Optional<Name> name = input.name("Their name", joining.name());
        Optional<EmailAddress> email = input.email("Their mail address", joining.email());
        input.allGood();
        EmailAddress address = email.orElseThrow();
        if (people.memberAt(address).isPresent()) {
            throw Refused.because(address + " is in the team already. Nothing was changed.");
        }
        if (people.contactAt(address).isPresent()) {
            throw Refused.because(address
                    + " is a contact outside the agency. Somebody is either of the team or outside; use "
                    + "another address.");
        }
        if (people.isTeams(address)) {
            people.takeBack(address, name.orElseThrow(), joining.role());
        } else {
            people.addMember(name.orElseThrow(), address, joining.role(), null, agency.now());
        }
        TeamMember member = people.memberAt(address).orElseThrow();
        tell(new PeopleActs.TeamJoined(by, member.name(), member.email(), member.role()));
        sendLink(member);
    }

    /** Mails one of the team a link by which they choose a password. */
    @Transactional
    public void sendLink(TeamMemberId id, Actor by) {
        TeamMember member = NotFound.unless(people.member(id));
        tell(new PeopleActs.TeamLinkSent(by, member.name(), member.email()));
        sendLink(member);
    }

    private void sendLink(TeamMember member) {
        String house = agency.get().name();
        toTeam.letIn(
                member,
                "Your way into Clear Pane at " + house,
                List.of(
                        "You are in the team of " + house + ", as " + inWords(member.role())
                                + ". Choose a password, and you are in.",
                        "The link opens once, within two weeks. After that an owner can send you another."),
                new WriteToTeam.Leads("Choose a password", PASSWORD_PAGE));
    }

    /** Gives somebody another role; they sign in anew. @throws Refused if no owner would be left */
    @Transactional
    public void changeRole(TeamMemberId id, TeamRole role, Actor by) {
        TeamMember member = stillWithOwner(id, Optional.of(role));
        if (member.role() == role) {
            return;
        }
        people.changeRole(id, role);
        reach.sessions().end(signedInAs(id));
        tell(new PeopleActs.TeamRoleChanged(by, member.name(), member.role(), role));
    }

    /**
     * Lets somebody leave, at once and everywhere; what they have in hand goes to somebody else. @throws Refused if no
     * owner would be left
     */
    @Transactional
    public void leave(TeamMemberId id, TeamMemberId to, Actor by) {
        TeamMember member = stillWithOwner(id, Optional.empty());
        TeamMember heir = NotFound.unless(people.member(to));
        Input input = new Input();
        input.require(
                !heir.id().equals(id), "Choose somebody else to take over what " + member.name() + " has in hand.");
        int managed = work.projects().handOver(id, to);
        input.require(
                managed == 0 || heir.role().mayPublish(),
                member.name() + " manages projects, and " + heir.name()
                        + " is a maker. Choose an owner or a manager to take them over.");
        input.allGood();
        int tasks = work.tasks().handOver(id, to);
        work.concerns().handOver(id, to);
        people.leave(id, agency.now());
        reach.signInLinks().revokeAll(id, agency.now());
        reach.feeds().revoke(id, agency.now());
        reach.sessions().end(signedInAs(id));
        tell(new PeopleActs.TeamLeft(by, member.name(), heir.name(), managed, tasks));
    }

    private TeamMember stillWithOwner(TeamMemberId id, Optional<TeamRole> becomes) {
        people.lockTeam();
        Map<TeamMemberId, TeamRole> team =
                people.team().stream().collect(Collectors.toMap(TeamMember::id, TeamMember::role));
        TeamMember member = NotFound.unless(people.member(id));
        if (Owners.noneLeft(team, id, becomes)) {
            throw Refused.because(
                    member.name() + " is the only owner. Make somebody else an owner first; nothing was changed.");
        }
        return member;
    }

    /** A password as typed. @param now the one they have; needed where there is one and they did not come by a link */
    public record Choosing(String now, String password) {}

    /** Keeps a new password, and signs its owner out everywhere else. @param session theirs */
    @Transactional
    public void choose(Person.OfTeam me, Choosing choosing, String session) {
        TeamMember member = NotFound.unless(people.member(me.memberId()));
        Optional<People.Credentials> had = people.credentials(new EmailAddress(member.email()));
        Input input = new Input();
        SetUp.checkPassword(input, choosing.password());
        input.require(
                had.isEmpty() || passwords.matches(choosing.now(), had.get().passwordHash()),
                "The password you have now is another one. Nothing was changed.");
        input.allGood();
        people.setPassword(member.id(), passwords.encode(choosing.password()));
        reach.sessions().endOthers(me.getName(), session);
        tell(new PeopleActs.TeamPasswordChosen(me.actor(), member.name(), Optional.empty()));
    }

    /** How long the team stays signed in. */
    public SignIns.Lasting lasting() {
        return reach.signIns().lasting();
    }

    /** Sets how long the team stays signed in; whoever is signed in now keeps what held when they came. */
    @Transactional
    public void setLasting(String idleHours, String days, Actor by) {
        Input input = new Input();
        Optional<Integer> hours = input.number("The hours", idleHours, 1, 72);
        Optional<Integer> most = input.number("The days", days, 1, 30);
        input.allGood();
        reach.signIns().setLasting(new SignIns.Lasting(hours.orElseThrow(), most.orElseThrow()));
        tell(new PeopleActs.TeamSessionsSet(by, agency.get().name(), hours.orElseThrow(), most.orElseThrow()));
    }

    /** For how many days a link keeps a contact signed in on a device. */
    public int contactDays() {
        return reach.signIns().contactDays();
    }

    /** Sets it; whoever is signed in now keeps what held when they came. */
    @Transactional
    public void setContactDays(String typed, Actor by) {
        Input input = new Input();
        Optional<Integer> days = input.number("The days", typed, 1, MOST_CONTACT_DAYS);
        input.allGood();
        reach.signIns().setContactDays(days.orElseThrow());
        tell(new PeopleActs.HouseSays(Act.CONTACT_DAYS, by, agency.get().name(), String.valueOf(days.orElseThrow())));
    }

    private void tell(Happening happening) {
        audit.appendOfAgency(agency.get().id(), happening);
    }

    private static String signedInAs(TeamMemberId id) {
        return "team:" + id;
    }

    private static String inWords(TeamRole role) {
        return role.name().toLowerCase(Locale.ROOT);
    }
}
