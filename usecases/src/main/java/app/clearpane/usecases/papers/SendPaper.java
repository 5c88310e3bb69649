package app.clearpane.usecases.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a paper to those it is for. */
@Component
public class SendPaper {
    private final Papers papers;
    private final Seats seats;
    private final TheAgency agency;
    private final Words words;
    private final AuditLog audit;
    private final WriteOfPaper write;
    private final ApplicationEventPublisher events;

    SendPaper(
            Papers papers,
            Seats seats,
            TheAgency agency,
            Words words,
            AuditLog audit,
            WriteOfPaper write,
            ApplicationEventPublisher events) {
        this.events = events;
        this.write = write;
        this.papers = papers;
        this.seats = seats;
        this.agency = agency;
        this.words = words;
        this.audit = audit;
    }

    /** Recipients who have no seat at a published pane, and so could not open it. */
    public List<String> withoutSeat(Paper paper) {
        return paper.recipients().stream()
                .filter(one -> paneOf(paper, one.contact()).isEmpty())
                .map(Paper.Recipient::name)
                .toList();
    }

    private Optional<PaneId> paneOf(Paper paper, ContactId contact) {
        return seats.paneThatOpens(paper.project(), contact, agency.now());
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
        if (paper.sentAt().isPresent()) {
            throw Refused.changedMeanwhile("This was sent already. Nothing was sent twice.");
        }
        papers.sent(id, agency.now());
        events.publishEvent(new PaperMoved(id, by));
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperSent(
                        by,
                        paper.name(),
                        paper.number(),
                        paper.recipients().stream().map(Paper.Recipient::name).toList(),
                        paper.sha256(),
                        paper.amount().map(BigDecimal::toPlainString).orElse("")));
        paper.recipients().forEach(one -> paneOf(paper, one.contact())
                .ifPresent(pane -> write.write(paper, one.contact(), "/c/panes/" + pane + "/papers/" + id)));
        return paper.project();
    }
}
