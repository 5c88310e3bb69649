package app.clearpane.usecases.papers;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A recipient of a paper says no to it, in words. They may still change their mind until it is withdrawn. */
@Component
public class DeclinePaper {
    private static final int LONGEST = 1_000;
    private final Papers papers;
    private final VisiblePapers visible;
    private final AuditLog audit;
    private final WriteToTeam tellManager;
    private final Words words;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    DeclinePaper(
            Papers papers,
            VisiblePapers visible,
            AuditLog audit,
            WriteToTeam tellManager,
            Words words,
            Clock clock,
            ApplicationEventPublisher events) {
        this.events = events;
        this.papers = papers;
        this.visible = visible;
        this.audit = audit;
        this.tellManager = tellManager;
        this.words = words;
        this.clock = clock;
    }

    /** Says no to exactly this file. @throws Refused if it says nothing why, or if it is settled or was withdrawn */
    @Transactional
    public void decline(Viewer viewer, PaperId id, Sha256 seen, String why) {
        NotFound.unless(visible.find(viewer, id));
        Input input = new Input();
        String said = input.text("Why", why, LONGEST);
        input.require(!said.isEmpty(), "Say in a sentence what is not right: whoever sent it works from that.");
        input.allGood();
        papers.lock(id);
        Paper paper = NotFound.unless(visible.find(viewer, id));
        if (!paper.state(words.today()).waits()
                || !paper.kind().asks()
                || !paper.sha256().equals(seen)
                || paper.recipient(viewer.contact())
                        .filter(Paper.Recipient::isAwaited)
                        .isEmpty()) {
            throw Refused.changedMeanwhile(
                    "This paper was settled, withdrawn or answered by you meanwhile, so it was not declined. Look "
                            + "at it again.");
        }
        papers.declined(id, viewer.contact(), said, clock.instant());
        events.publishEvent(new PaperMoved(id, viewer.actor()));
        audit.append(
                paper.project(),
                id.value(),
                new PaperActs.PaperDeclined(viewer.actor(), paper.name(), paper.number(), paper.sha256(), said));
        boolean back = papers.find(id).orElseThrow().state(words.today()) == PaperState.DECLINED;
        tellManager.tell(
                paper.project(),
                "Declined: " + paper.name(),
                List.of(
                        viewer.name() + " declined " + paper.name() + ": “" + said + "”",
                        back
                                ? "It is your turn: withdraw it, or send another."
                                : "Others may still "
                                        + (paper.kind() == PaperKind.PROPOSAL ? "agree to it." : "answer.")),
                new WriteToTeam.Leads("See the papers", "/t/projects/" + paper.project() + "/papers"));
    }
}
