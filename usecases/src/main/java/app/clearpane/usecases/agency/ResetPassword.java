package app.clearpane.usecases.agency;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignIns;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lets one of the team who forgot their password choose another, by a link that only their mailbox has. */
@Component
public class ResetPassword {
    private static final Duration GOOD_FOR = Duration.ofHours(1);
    private final People people;
    private final SignIns signIns;
    private final Sessions sessions;
    private final PasswordEncoder passwords;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteToTeam toTeam;

    ResetPassword(
            People people,
            SignIns signIns,
            Sessions sessions,
            PasswordEncoder passwords,
            TheAgency agency,
            AuditLog audit,
            WriteToTeam toTeam) {
        this.toTeam = toTeam;
        this.people = people;
        this.signIns = signIns;
        this.sessions = sessions;
        this.passwords = passwords;
        this.agency = agency;
        this.audit = audit;
    }

    /** Mails a link to whoever of the team has this address, if anybody has. */
    @Transactional
    public void ask(String address) {
        member(address).ifPresent(member -> {
            String key = LinkKeys.random();
            signIns.addPasswordKey(
                    Sha256.ofText(key), member.id(), agency.now(), agency.now().plus(GOOD_FOR));
            String name = agency.get().name();
            toTeam.write(
                    member,
                    "Choose a new password for Clear Pane at " + name,
                    List.of(
                            "Somebody, you most likely, said that your password is forgotten. By this link "
                                    + "you choose another, once, within an hour.",
                            "If it was not you, leave it: the password you have stays as it is."),
                    new WriteToTeam.Leads("Choose a new password", "/sign-in/new-password/" + key));
        });
    }

    private Optional<TeamMember> member(String address) {
        try {
            return people.memberAt(new EmailAddress(address));
        } catch (IllegalArgumentException notAnAddress) {
            // The answer is the same whether an address is known or not.
            return Optional.empty();
        }
    }

    /** Whether a key still opens something. */
    public boolean opens(String key) {
        return signIns.ofPasswordKey(Sha256.ofText(key), agency.now()).isPresent();
    }

    /**
     * Keeps the new password, signs its owner out everywhere, and mails them that it happened. @throws Refused if the
     * key opens nothing any more, or the password will not do
     */
    @Transactional
    public void choose(String key, String password) {
        Input input = new Input();
        SetUp.checkPassword(input, password);
        input.allGood();
        TeamMember member = signIns.usePasswordKey(Sha256.ofText(key), agency.now())
                .flatMap(people::member)
                .orElseThrow(() -> Refused.because(
                        "This link was used already, or is older than an hour. Your password is as it was; "
                                + "ask for another link."));
        people.setPassword(member.id(), passwords.encode(password));
        sessions.end("team:" + member.id());
        audit.appendOfAgency(
                agency.get().id(),
                new PeopleActs.TeamPasswordChosen(
                        new Actor.OfTeam(member.id(), member.name()), member.name(), Optional.of("by a mailed link")));
        String name = agency.get().name();
        toTeam.write(
                member,
                "Your password for Clear Pane at " + name + " was changed",
                List.of(
                        "A new password was chosen by a link that was mailed to you, and you were signed "
                                + "out everywhere.",
                        "If it was not you, ask for another link at once and tell an owner."),
                new WriteToTeam.Leads("Sign in", "/sign-in"));
    }
}
