package app.clearpane.usecases.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.shell.Lasting;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes to a recipient that a paper is there. */
@Component
class WriteOfPaper {
    private final Projects projects;
    private final Lasting lasting;
    private final WriteToContact toContact;

    WriteOfPaper(Projects projects, Lasting lasting, WriteToContact toContact) {
        this.projects = projects;
        this.lasting = lasting;
        this.toContact = toContact;
    }

    void write(Paper paper, ContactId contact, String page) {
        toContact.write(contact, note(paper, page));
    }

    private WriteToContact.Note note(Paper paper, String page) {
        List<String> lines = new ArrayList<>();
        String what = PaperWords.kind(paper) + (paper.number().isEmpty() ? "" : " " + paper.number());
        lines.add((paper.kind() == PaperKind.DATES ? "Here are our dates: " : "Here is our " + what + ": ")
                + paper.name()
                + paper.amount()
                        .map(amount -> ", " + amount.toPlainString() + " "
                                + projects.find(paper.project()).orElseThrow().currency() + ".")
                        .orElse("."));
        lines.add(
                switch (paper.kind()) {
                    case PROPOSAL -> "You can read it and agree to it there.";
                    case CONTRACT -> "You can read it and sign it there.";
                    case DATES ->
                        "You can read them and agree to them there; they count once everybody asked has agreed.";
                    case INVOICE ->
                        paper.due()
                                .map(day -> "Please pay it by " + lasting.day(day) + ".")
                                .orElse("It is there for you to keep.");
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
