package app.clearpane.usecases.markup;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts the letter of a round on paper, and mails it. */
@Component
public class SendLetter {
    private final CutOuts cutOuts;
    private final Pages pages;
    private final TheAgency agency;
    private final Words words;
    private final WriteToTeam toTeam;

    SendLetter(CutOuts cutOuts, Pages pages, TheAgency agency, Words words, WriteToTeam toTeam) {
        this.cutOuts = cutOuts;
        this.pages = pages;
        this.agency = agency;
        this.words = words;
        this.toTeam = toTeam;
    }

    /** The letter as PDF, with a cut-out of each place. */
    public byte[] pdf(RoundLetter letter) throws IOException {
        Map<String, String> pictures = new HashMap<>();
        cutOuts.cut(
                        letter.version(),
                        letter.changes().stream().map(RoundLetter.Line::mark).toList(),
                        WriteLetter.CUT_OUT_WIDTH)
                .forEach((mark, png) -> pictures.put(
                        mark.toString(),
                        "data:image/png;base64," + Base64.getEncoder().encodeToString(png)));
        return PdfWriter.write(pages.render(
                "markup/letter-paper", Map.of("letter", letter, "cutOuts", pictures, "agency", agency.get())));
    }

    /** Mails it to one of the team: every change in a line, and where to see them. */
    @Transactional
    public void mail(RoundLetter letter, TeamMember to) {
        List<String> lines = new ArrayList<>();
        lines.add(letter.deliverable() + ", " + letter.version().called() + ": "
                + (letter.changes().isEmpty()
                        ? "no change is asked for."
                        : words.count(letter.changes().size(), "change is", "changes are") + " asked for."));
        letter.changes().forEach(line -> lines.add(line.inOneLine()));
        toTeam.write(
                to,
                "To do: " + letter.deliverable() + ", " + letter.version().called(),
                lines,
                new WriteToTeam.Leads(
                        "See them in their places",
                        "/t/versions/" + letter.version().id() + "/letter"));
    }
}
