package app.clearpane.usecases.papers;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a paper that was drawn up here. */
@Component
public class SendDrawnUp {
    private final Vault vault;
    private final TheAgency agency;
    private final Words words;
    private final AddPaper addPaper;
    private final SendPaper sendPaper;

    SendDrawnUp(Vault vault, TheAgency agency, Words words, AddPaper addPaper, SendPaper sendPaper) {
        this.sendPaper = sendPaper;
        this.addPaper = addPaper;
        this.vault = vault;
        this.agency = agency;
        this.words = words;
    }

    /**
     * Sends a paper that was drawn up here, as a PDF. @throws IOException if it cannot be written; nothing is kept then
     */
    @Transactional(rollbackFor = IOException.class)
    public PaperId sendDrawnUp(ProjectId project, PaperKind kind, String name, byte[] pdf, List<Contact> to, Actor by)
            throws IOException {
        Vault.Stored stored = vault.store(new ByteArrayInputStream(pdf), pdf.length);
        List<Paper.Recipient> recipients =
                to.stream().map(one -> Paper.Recipient.of(one.id(), one.name())).toList();
        Paper paper = new Paper(
                new PaperId(UUID.randomUUID()),
                project,
                kind,
                name,
                "",
                Optional.empty(),
                words.today(),
                Optional.empty(),
                stored.sha256(),
                FileNames.safe(name + ".pdf"),
                "application/pdf",
                stored.size(),
                by,
                agency.now(),
                new Paper.Draft(),
                recipients,
                1,
                Paper.Further.USUAL);
        addPaper.keep(paper, by);
        sendPaper.send(paper.id(), false, by);
        return paper.id();
    }
}
