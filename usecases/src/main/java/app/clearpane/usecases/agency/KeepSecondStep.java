package app.clearpane.usecases.agency;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.agency.Sessions;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sets up, asks for, and ends the second step of the team's signing in. */
@Component
public class KeepSecondStep {
    private final SecondFactors factors;
    private final StepCodes codes;
    private final People people;
    private final Sessions sessions;
    private final WriteMail mail;
    private final TheAgency agency;
    private final AuditLog audit;

    KeepSecondStep(
            SecondFactors factors,
            StepCodes codes,
            People people,
            Sessions sessions,
            WriteMail mail,
            TheAgency agency,
            AuditLog audit) {
        this.factors = factors;
        this.codes = codes;
        this.people = people;
        this.sessions = sessions;
        this.mail = mail;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * How it stands with one of the team.
     *
     * @param holds whether they sign in by two steps
     * @param secret to be taken into their app; empty unless it was begun and is not confirmed
     * @param address the same as an app reads it from a picture
     * @param codesLeft how many recovery codes they have
     * @param asked whether the agency asks everybody for it
     */
    public record Standing(
            boolean holds, Optional<String> secret, Optional<String> address, int codesLeft, boolean asked) {}

    /** How it stands with somebody. */
    public Standing standingOf(TeamMemberId id) {
        TeamMember member = NotFound.unless(people.member(id));
        boolean holds = factors.holds(id);
        Optional<String> secret = holds ? Optional.empty() : codes.secret(id);
        return new Standing(
                holds,
                secret,
                secret.map(known -> StepCodes.address(member, agency.get().name(), known)),
                holds ? factors.codesLeft(id) : 0,
                factors.asked());
    }

    /** Everybody who signs in by two steps. */
    public Set<TeamMemberId> holders() {
        return factors.holders();
    }

    /** Whether the agency asks everybody for it. */
    public boolean asked() {
        return factors.asked();
    }

    /** Makes a secret for somebody's app. @throws Refused if they have one that holds */
    @Transactional
    public void begin(Person.OfTeam me) {
        if (factors.holds(me.memberId())) {
            throw Refused.because(
                    "You sign in by two steps already. Nothing was changed; to use another app, end it first.");
        }
        codes.begin(me.memberId());
    }

    /**
     * It holds from now on, and everywhere else they are signed out. @return recovery codes, to be shown this
     * once @throws Refused if the code is another one
     */
    @Transactional
    public List<String> confirm(Person.OfTeam me, String code, String session) {
        if (factors.holds(me.memberId()) || !codes.takes(me.memberId(), code)) {
            throw Refused.because(
                    "That is not the code your app shows for Clear Pane now, or it was used. Nothing was changed; "
                            + "wait for the next one. If none fits, see that the clock of your phone is right.");
        }
        codes.confirm(me.memberId());
        sessions.endOthers(me.getName(), session);
        tell(Act.TEAM_SECOND_STEP_SET_UP, me.actor(), me.fullName());
        return codes.recoveryCodes(me.memberId());
    }

    /** Other recovery codes, to be shown this once. @throws Refused if there is nothing to recover */
    @Transactional
    public List<String> renewCodes(Person.OfTeam me) {
        if (!factors.holds(me.memberId())) {
            throw Refused.because("You sign in by your password alone. Nothing was changed.");
        }
        tell(Act.TEAM_RECOVERY_CODES_RENEWED, me.actor(), me.fullName());
        return codes.recoveryCodes(me.memberId());
    }

    /** Ends one's own. @throws Refused if the agency asks for it */
    @Transactional
    public void end(Person.OfTeam me) {
        if (factors.asked()) {
            throw Refused.because(agency.get().name()
                    + " asks everybody of the team for a second step. Nothing was changed; an owner can "
                    + "end yours, and you set it up anew.");
        }
        if (factors.end(me.memberId())) {
            tell(Act.TEAM_SECOND_STEP_ENDED, me.actor(), me.fullName());
        }
    }

    /** Ends somebody else's, who lost what they had it on; they are signed out everywhere and told. */
    @Transactional
    public void endFor(TeamMemberId id, Actor by) {
        TeamMember member = NotFound.unless(people.member(id));
        if (!factors.end(id)) {
            throw Refused.because(member.name() + " signs in by the password alone. Nothing was changed.");
        }
        sessions.end("team:" + id);
        tell(Act.TEAM_SECOND_STEP_ENDED, by, member.name());
        write(
                member,
                "The second step of your signing in was ended",
                by.name() + " ended it, so your password alone signs you in. Set it up again when you are in.");
    }

    /**
     * Asks everybody of the team for it, or leaves it to each. Whoever has none is signed out, and sets it up on coming
     * in. @throws Refused if the owner has none
     */
    @Transactional
    public void ask(boolean asked, Person.OfTeam me) {
        if (asked && !factors.holds(me.memberId())) {
            throw Refused.because(
                    "Set up your own second step first, so that you know what you ask for. Nothing was changed.");
        }
        if (asked == factors.asked()) {
            return;
        }
        factors.ask(asked);
        if (asked) {
            Set<TeamMemberId> holders = factors.holders();
            people.team().stream()
                    .filter(member -> !holders.contains(member.id()))
                    .forEach(member -> sessions.end("team:" + member.id()));
        }
        tell(
                asked ? Act.TEAM_SECOND_STEP_ASKED : Act.TEAM_SECOND_STEP_LEFT_OPEN,
                me.actor(),
                agency.get().name());
    }

    /**
     * Whether what somebody typed lets them in: a code of their app, or a recovery code, which is then told and
     * mailed. @return who they are; empty if it does not
     */
    @Transactional
    public Optional<TeamMember> passes(TeamMemberId id, String typed) {
        Optional<TeamMember> member = people.member(id);
        if (member.isEmpty() || codes.takes(id, typed)) {
            return member;
        }
        if (!codes.takesRecovery(id, typed)) {
            return Optional.empty();
        }
        TeamMember someone = member.get();
        int left = factors.codesLeft(id);
        tell(Act.TEAM_RECOVERY_CODE_USED, new Actor.OfTeam(id, someone.name()), someone.name());
        write(
                someone,
                "A recovery code of yours was used",
                "Somebody, you most likely, signed in with one of your recovery codes. "
                        + (left == 0 ? "None is left." : left == 1 ? "One is left." : left + " are left.")
                        + " If it was not you, choose another password at once and tell an owner.");
        return member;
    }

    private void write(TeamMember to, String subject, String line) {
        String name = agency.get().name();
        mail.send(to, new Letter(subject, List.of(line), "Sign in", mail.signInPage(), name));
    }

    private void tell(Act act, Actor by, String subject) {
        audit.appendOfAgency(agency.get().id(), new PeopleActs.SecondStepTurned(act, by, subject));
    }
}
