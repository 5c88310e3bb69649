package app.clearpane.usecases.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a paper to those it is for. */
@Component
public class SendPaper {
    private final Papers papers;
    private final Projects projects;
    private final Seats seats;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final AuditLog audit;
    private final WriteToContact toContact;

    SendPaper(
            Papers papers,
            Projects projects,
            Seats seats,
            TheAgency agency,
            Words words,
            Lasting lasting,
            AuditLog audit,
            WriteToContact toContact) {
        this.papers = papers;
        this.projects = projects;
        this.seats = seats;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.audit = audit;
        this.toContact = toContact;
    }

    /** Recipients who have no seat at a published pane, and so could not open it. */
    public List<String> withoutSeat(Paper paper) {
        return paper.recipients().stream()
                .filter(one -> paneOf(paper, one.contact()).isEmpty())
                .map(Paper.Recipient::name)
                .toList();
    }

    private Optional<PaneId> paneOf(Paper paper, ContactId contact) {
        return seats.wayIn(paper.project(), contact, agency.now());
    }

    /**
     * Sends it: each recipient gets a mail. @param sure whether it goes out although somebody has no seat @throws
     * Refused if somebody has none and that is not wanted
     */
    @Transactional
    public ProjectId send(PaperId id, boolean sure, Actor by) {
        papers.lock(id);
        Paper paper = NotFound.unless(papers.find(id));
        List<String> without = withoutSeat(paper);
        if (!without.isEmpty() && !sure) {
            throw Refused.because(words.and(without) + (without.size() == 1 ? " has" : " have")
                    + " no seat at a published pane here, so they could not open it. Give them a seat "
                    + "first, or tick that it is sent all the same.");
        }
        if (paper.sentAt() != null) {
            throw Refused.changedMeanwhile("This was sent already. Nothing was sent twice.");
        }
        papers.sent(id, agency.now());
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperSent(
                        by,
                        paper.name(),
                        paper.number(),
                        paper.recipients().stream().map(Paper.Recipient::name).toList(),
                        paper.sha256(),
                        paper.amount() == null ? "" : paper.amount().toPlainString()));
        paper.recipients().forEach(one -> paneOf(paper, one.contact())
                .ifPresent(pane -> toContact.write(one.contact(), note(paper, "/c/panes/" + pane + "/papers/" + id))));
        return paper.project();
    }

    private WriteToContact.Note note(Paper paper, String page) {
        List<String> lines = new ArrayList<>();
        String what = PaperWords.kind(paper) + (paper.number().isEmpty() ? "" : " " + paper.number());
        lines.add((paper.kind() == PaperKind.DATES ? "Here are our dates: " : "Here is our " + what + ": ")
                + paper.name()
                + (paper.amount() == null
                        ? "."
                        : ", " + paper.amount().toPlainString() + " "
                                + projects.find(paper.project()).orElseThrow().currency() + "."));
        lines.add(
                switch (paper.kind()) {
                    case PROPOSAL -> "You can read it and agree to it there.";
                    case CONTRACT -> "You can read it and sign it there.";
                    case DATES ->
                        "You can read them and agree to them there; they count once everybody asked has agreed.";
                    case INVOICE ->
                        paper.due() == null
                                ? "It is there for you to keep."
                                : "Please pay it by " + lasting.day(paper.due()) + ".";
                    case OTHER -> "It is there for you to keep.";
                });
        lines.add("Only those it is addressed to can see it.");
        return new WriteToContact.Note(
                switch (paper.kind()) {
                            case PROPOSAL -> "Proposal: ";
                            case CONTRACT -> "To sign: ";
                            case DATES -> "To agree on: ";
                            case INVOICE -> "Invoice: ";
                            case OTHER -> "For you: ";
                        }
                        + paper.name(),
                lines,
                "Open it",
                page);
    }
}
