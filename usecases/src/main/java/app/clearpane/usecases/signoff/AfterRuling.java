package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.markup.ClashSettled;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.WhoReads;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What follows from a ruling: both whose wishes clashed are told, and so is the manager; a signatory who sent the
 * version back for the wish that lost is asked again.
 */
@Component
class AfterRuling {
    private final Deliverables deliverables;
    private final AskToSign ask;
    private final WhoReads readers;
    private final WriteToTeam tellManager;
    private final TheAgency agency;
    private final AuditLog audit;
    private final WriteToContact toContact;

    AfterRuling(
            Deliverables deliverables,
            AskToSign ask,
            WhoReads readers,
            WriteToTeam tellManager,
            TheAgency agency,
            AuditLog audit,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.deliverables = deliverables;
        this.ask = ask;
        this.readers = readers;
        this.tellManager = tellManager;
        this.agency = agency;
        this.audit = audit;
    }

    /** Within the ruling. */
    @EventListener
    public void ruled(ClashSettled event) {
        Optional<Round.Said> again = askedAgain(event);
        again.ifPresentOrElse(said -> ask(event, said), () -> write(event, event.loses()));
        write(event, event.holds());
        if (event.by().contact().isPresent()) {
            tellManager.tell(
                    event.deliverable().project(),
                    "Settled: " + called(event),
                    List.of(
                            sentence(event),
                            again.map(said -> said.by() + " had sent it back and is asked again.")
                                    .orElse("Nobody’s decision changes by it.")),
                    new WriteToTeam.Leads(
                            "See it in its place",
                            "/t/versions/" + event.version().id() + "/light-table?page="
                                    + event.holds().place().page() + "#mark-"
                                    + event.holds().id()));
        }
    }

    /**
     * What the writer of the mark that lost had sent back, for themselves or for somebody they stood in for, in a round
     * that is open.
     */
    private Optional<Round.Said> askedAgain(ClashSettled event) {
        return writer(event, event.loses()).flatMap(writer -> deliverables
                .round(event.version().id())
                .filter(Round::open)
                .flatMap(round -> round.madeBy(writer)
                        .filter(said -> said.decision() == Decision.SEND_BACK
                                && round.saidBy(said.contact())
                                        .filter(said::equals)
                                        .isPresent())));
    }

    /** The contact who wrote a mark; empty if it was somebody else, or whoever ruled. */
    private static Optional<ContactId> writer(ClashSettled event, Mark mark) {
        return mark.author().contact().filter(writer -> !event.by().contact().equals(Optional.of(writer)));
    }

    private void ask(ClashSettled event, Round.Said said) {
        Round round = deliverables.round(event.version().id()).orElseThrow();
        deliverables.takeBack(round.id(), said, agency.now());
        audit.append(
                event.deliverable().project(),
                event.deliverable().id().value(),
                new DecisionActs.SignoffAskedAgain(
                        event.by(),
                        event.deliverable().name(),
                        Objects.requireNonNull(event.version().number()),
                        said.decision(),
                        round.number(),
                        said.contact().toString(),
                        said.by(),
                        said.at()));
        Round now = deliverables.round(event.version().id()).orElseThrow();
        ask.now(
                new AskToSign.What(event.deliverable(), event.version(), now),
                said.contact(),
                List.of(
                        sentence(event),
                        "You had sent this version back. What you asked for is settled now, so your decision does "
                                + "not count any more: please decide again."));
    }

    private void write(ClashSettled event, Mark mark) {
        writer(event, mark).ifPresent(writer -> write(event, mark, writer));
    }

    private void write(ClashSettled event, Mark mark, ContactId writer) {
        readers.reads(writer, new CallByName.Where(event.deliverable(), event.version(), false))
                .ifPresent(seat -> toContact.write(
                        writer,
                        new WriteToContact.Note(
                                "Settled: " + called(event),
                                lines(event, mark),
                                "See it in its place",
                                "/c/panes/" + seat.pane() + "/versions/"
                                        + event.version().id() + "?page="
                                        + mark.place().page() + "#mark-" + mark.id())));
    }

    private static List<String> lines(ClashSettled event, Mark mark) {
        List<String> lines = new ArrayList<>(List.of(sentence(event)));
        lines.add(
                mark.id().equals(event.holds().id())
                        ? "So what you wished for is followed."
                        : "So what you wished for is set aside; it stays to be read.");
        return lines;
    }

    private static String sentence(ClashSettled event) {
        return event.by().name() + " decided between two wishes at one place of " + called(event) + ": "
                + event.holds().label() + " (" + event.holds().author().name() + ") is followed, "
                + event.loses().label() + " (" + event.loses().author().name() + ") is set aside."
                + (event.reason().isEmpty() ? "" : " “" + event.reason() + "”");
    }

    private static String called(ClashSettled event) {
        return event.deliverable().name() + ", " + event.version().called();
    }
}
