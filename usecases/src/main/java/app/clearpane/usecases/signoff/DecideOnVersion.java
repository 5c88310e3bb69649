package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.project.Project;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes a signatory's decision on a version, or on many at once (R5). */
@Component
public class DecideOnVersion {
    private final WeighDecision weigh;
    private final KeepDecision keep;
    private final Projects projects;
    private final People people;
    private final WriteMail mail;
    private final TheAgency agency;
    private final HouseSettings house;

    DecideOnVersion(
            WeighDecision weigh,
            KeepDecision keep,
            Projects projects,
            People people,
            WriteMail mail,
            TheAgency agency,
            HouseSettings house) {
        this.weigh = weigh;
        this.keep = keep;
        this.projects = projects;
        this.people = people;
        this.mail = mail;
        this.agency = agency;
        this.house = house;
    }

    /** Takes one. @throws Refused with what stands in the way; nothing is changed then */
    @Transactional
    public Outcome decide(Viewer viewer, VersionId id, DecisionForm form) {
        WeighDecision.Ready ready = weigh.weigh(viewer, id, form);
        Instant at = keep.keep(viewer, ready, null);
        tellManager(viewer, ready, at);
        return ready.taken().outcome();
    }

    /** Something to be signed among others, as the page showed it. */
    public record Pick(VersionId version, String name, DecisionForm form) {}

    /**
     * What became of many. @param done names of what was decided on @param leftOut what was not, each with the reason
     */
    public record Many(Decision decision, List<String> done, List<LeftOut> leftOut) {}

    /** Something that was left out. */
    public record LeftOut(String name, String why) {}

    /**
     * Decides on what can be decided on of these; the rest is left out with the reason. What is decided stands or falls
     * together.
     */
    @Transactional
    public Many byMany(Viewer viewer, List<Pick> picks, Decision decision) {
        List<WeighDecision.Ready> ready = new ArrayList<>();
        List<LeftOut> leftOut = new ArrayList<>();
        for (Pick pick : picks) {
            try {
                ready.add(weigh.weigh(viewer, pick.version(), pick.form()));
            } catch (Refused refused) {
                leftOut.add(new LeftOut(pick.name(), String.join(" ", refused.sentences())));
            } catch (NotFound gone) {
                leftOut.add(new LeftOut(pick.name(), "It is not there for you any more."));
            }
        }
        UUID batch = UUID.randomUUID();
        Instant at = ready.stream()
                .map(one -> keep.keep(viewer, one, batch))
                .reduce(Instant.EPOCH, (earlier, later) -> later);
        if (!ready.isEmpty()) {
            tellManagerOfMany(viewer, ready, decision, batch, at);
        }
        return new Many(
                decision, ready.stream().map(one -> one.deliverable().name()).toList(), leftOut);
    }

    private void tellManager(Viewer viewer, WeighDecision.Ready ready, Instant at) {
        Decision decision = ready.form().decision();
        String what =
                ready.deliverable().name() + ", version " + ready.version().number();
        String said = viewer.name()
                + (ready.signer().equals(viewer.contact()) ? " " : ", standing in for " + ready.signerName() + ", ")
                + DecisionWords.said(decision) + " " + what
                + (ready.sentence().isEmpty() ? "." : ": “" + ready.sentence() + "”");
        boolean anyway = decision.signs() && ready.taken().outcome() == Outcome.BACK;
        List<String> lines = new ArrayList<>(
                List.of(said, anyway ? DecisionWords.told(ready.round(), ready.signer()) : stands(ready.taken())));
        ready.accepts()
                .forEach(number -> lines.add("With it, round " + number + " of "
                        + ready.deliverable().allowance().rounds() + " was accepted: "
                        + ready.deliverable().allowance().fee().toPlainString() + " more."));
        tell(
                viewer,
                new Letter(
                        (anyway
                                        ? ready.taken().closes() ? "Comes back" : "Will go back"
                                        : DecisionWords.subject(decision))
                                + ": " + what,
                        lines,
                        "See " + ready.deliverable().name(),
                        house.address() + "/t/deliverables/"
                                + ready.deliverable().id(),
                        agency.get().name()),
                about(ready.round().id(), viewer.contact(), at),
                at);
    }

    private static String stands(RoundState.Answer.Taken taken) {
        return switch (taken.outcome()) {
            case SIGNED, SIGNED_WITH_NOTES -> "It is signed off, and the round is closed.";
            case BACK ->
                taken.closes()
                        ? "It has come back: the round is closed."
                        : "It will go back; others may still say what they want. You can close the round when you "
                                + "have heard enough.";
            case NOBODY_LEFT -> "Nobody is left to sign. Name somebody else, or send another version.";
            case PENDING, RECALLED -> "The others have still to decide.";
        };
    }

    private void tellManagerOfMany(
            Viewer viewer, List<WeighDecision.Ready> ready, Decision decision, UUID batch, Instant at) {
        String sentence = ready.get(0).sentence();
        List<String> lines = new ArrayList<>(List.of(viewer.name() + " " + DecisionWords.said(decision) + " "
                + ready.size() + (ready.size() == 1 ? " deliverable" : " deliverables at once")
                + (sentence.isEmpty() ? "." : ": “" + sentence + "”")));
        ready.forEach(one -> lines.add(
                one.deliverable().name() + ", version " + one.version().number() + ": "
                        + (one.taken().outcome() == Outcome.BACK
                                ? DecisionWords.told(one.round(), one.signer())
                                : stands(one.taken()))));
        tell(
                viewer,
                new Letter(
                        DecisionWords.subject(decision) + ": "
                                + String.join(
                                        ", ",
                                        ready.stream()
                                                .map(one -> one.deliverable().name())
                                                .limit(3)
                                                .toList())
                                + (ready.size() > 3 ? " and " + (ready.size() - 3) + " more" : ""),
                        lines,
                        "See the deliverables",
                        house.address() + "/t/projects/" + viewer.project() + "/deliverables",
                        agency.get().name()),
                batch,
                at);
    }

    /** What a mail that tells of one decision is about: whoever made it, in which round, when. */
    static UUID about(RoundId round, ContactId by, Instant at) {
        return UUID.nameUUIDFromBytes((round + " " + by + " " + at.toEpochMilli()).getBytes(StandardCharsets.UTF_8));
    }

    /** Once it cannot be taken back any more. */
    private void tell(Viewer viewer, Letter letter, UUID about, Instant at) {
        Project project = projects.find(viewer.project()).orElseThrow();
        people.member(project.manager())
                .ifPresent(manager -> mail.onceCertain(manager, letter, about, at.plus(TakingBack.WITHIN)));
    }
}
