package app.clearpane.usecases.papers;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Notes that a paper was paid, or withdraws it. */
@Component
public class SettlePaper {
    private final Papers papers;
    private final TheAgency agency;
    private final Words words;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    SettlePaper(Papers papers, TheAgency agency, Words words, AuditLog audit, ApplicationEventPublisher events) {
        this.events = events;
        this.papers = papers;
        this.agency = agency;
        this.words = words;
        this.audit = audit;
    }

    /** Notes that an invoice was paid. */
    @Transactional
    public ProjectId paid(PaperId id, String day, Actor by) {
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day it was paid", day);
        input.allGood();
        Paper paper = NotFound.unless(papers.find(id));
        if (paper.kind() != PaperKind.INVOICE || !paper.state(words.today()).waits()) {
            throw Refused.changedMeanwhile("Only an invoice that is open can be paid. Nothing was changed.");
        }
        papers.paid(id, on.orElseThrow());
        events.publishEvent(new PaperMoved(id, by));
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperPaid(
                        by, paper.name(), paper.number(), on.orElseThrow().toString()));
        return paper.project();
    }

    /** Withdraws it; its recipients see only that it was. */
    @Transactional
    public ProjectId withdraw(PaperId id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, AddPaper.LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is withdrawn; it stands in the Record.");
        input.allGood();
        papers.lock(id);
        Paper paper = NotFound.unless(papers.find(id));
        PaperState state = paper.state(words.today());
        if (!state.mayBeWithdrawn()) {
            throw Refused.changedMeanwhile(
                    "This is " + PaperWords.state(state) + " meanwhile, so it was not withdrawn. Look at it again.");
        }
        papers.withdraw(id, why, agency.now());
        events.publishEvent(new PaperMoved(id, by));
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperWithdrawn(by, paper.name(), paper.number(), why));
        return paper.project();
    }
}
