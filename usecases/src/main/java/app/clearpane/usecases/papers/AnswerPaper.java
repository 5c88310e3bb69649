package app.clearpane.usecases.papers;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.SignatureField;
import app.clearpane.usecases.shell.SignedName;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What those a paper is for do with it: they open it, and put their names to it. */
@Component
public class AnswerPaper {
    private final Papers papers;
    private final VisiblePapers visible;
    private final WriteToTeam tellManager;
    private final TheAgency agency;
    private final Words words;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    AnswerPaper(
            Papers papers,
            VisiblePapers visible,
            WriteToTeam tellManager,
            TheAgency agency,
            Words words,
            AuditLog audit,
            ApplicationEventPublisher events) {
        this.papers = papers;
        this.visible = visible;
        this.tellManager = tellManager;
        this.agency = agency;
        this.words = words;
        this.audit = audit;
        this.events = events;
    }

    /** Opens a paper for one of its recipients, and notes the first time. */
    @Transactional
    public Paper open(Viewer viewer, PaperId id) {
        Paper paper = NotFound.unless(visible.find(viewer, id));
        if (!viewer.looking() && papers.seen(id, viewer.contact(), agency.now())) {
            audit.append(
                    paper.project(),
                    paper.id().value(),
                    new PaperActs.PaperViewed(viewer.actor(), paper.name(), paper.number()));
        }
        return paper;
    }

    /** Takes the name that a recipient puts to exactly this file, and the signature that they draw beside it. */
    @Transactional
    public void name(Viewer viewer, PaperId id, Sha256 seen, String typedName, @Nullable String drawn, boolean sure) {
        NotFound.unless(visible.find(viewer, id));
        Optional<DrawnSignature> signature = SignatureField.read(drawn);
        SignedName.check(typedName, viewer.name(), sure);
        papers.lock(id);
        Paper paper = NotFound.unless(visible.find(viewer, id));
        if (!paper.kind().takesNames()
                || paper.withdrawal().isPresent()
                || !paper.sha256().equals(seen)) {
            throw Refused.changedMeanwhile(
                    "This paper was withdrawn or replaced meanwhile, so your name was not put to it. Look at "
                            + "it again.");
        }
        if (paper.recipient(viewer.contact()).flatMap(Paper.Recipient::named).isPresent()) {
            throw Refused.changedMeanwhile("You have put your name to it already. Nothing was done twice.");
        }
        papers.named(id, viewer.contact(), typedName.strip(), signature, agency.now());
        events.publishEvent(new PaperMoved(id, viewer.actor()));
        PaperState state = papers.find(id).orElseThrow().state(words.today());
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperNamed(
                        paper.kind() == PaperKind.CONTRACT ? Act.PAPER_SIGNED : Act.PAPER_AGREED,
                        viewer.actor(),
                        paper.name(),
                        paper.number(),
                        paper.sha256(),
                        typedName.strip(),
                        state,
                        signature.map(strokes -> Sha256.ofText(strokes.text()))));
        tellManager.tell(
                paper.project(),
                (paper.kind() == PaperKind.CONTRACT ? "Signed: " : "Agreed: ") + paper.name(),
                List.of(
                        viewer.name() + (paper.kind() == PaperKind.CONTRACT ? " signed " : " agreed to ") + paper.name()
                                + ".",
                        state == PaperState.SIGNED || state == PaperState.AGREED
                                ? "With it, it is settled."
                                : "Others have still to " + (paper.kind() == PaperKind.CONTRACT ? "sign." : "agree.")),
                new WriteToTeam.Leads("See the papers", "/t/projects/" + paper.project() + "/papers"));
        if (!state.waits()) {
            events.publishEvent(new PaperSettled(
                    paper.project(),
                    id,
                    paper.recipients().stream().map(Paper.Recipient::name).toList(),
                    viewer.actor()));
        }
    }
}
