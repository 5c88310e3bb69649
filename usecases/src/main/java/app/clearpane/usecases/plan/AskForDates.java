package app.clearpane.usecases.plan;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.papers.SendDrawnUp;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.Words;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Asks the signatories of a pane to agree to the dates as they are forecast today. They get them as a paper that says
 * no more than each of them sees through the pane; once all have put their names to it, these dates are the agreed
 * ones.
 */
@Component
public class AskForDates {
    private final PlanBook book;
    private final Agreements agreements;
    private final People people;
    private final SendDrawnUp papers;
    private final Words words;
    private final WhoAgrees who;
    private final DrawUpDates drawUp;

    AskForDates(
            PlanBook book,
            Agreements agreements,
            People people,
            SendDrawnUp papers,
            Words words,
            WhoAgrees who,
            DrawUpDates drawUp) {
        this.drawUp = drawUp;
        this.who = who;
        this.book = book;
        this.agreements = agreements;
        this.people = people;
        this.papers = papers;
        this.words = words;
    }

    /**
     * Sends the dates to the signatories of a pane. @throws Refused if the pane has none or the finish cannot
     * be @throws IOException if the paper cannot be written
     */
    @Transactional(rollbackFor = IOException.class)
    public PaperId ask(ProjectId project, PaneId pane, String finish, Actor by) throws IOException {
        Input input = new Input();
        Optional<LocalDate> typed = input.day("The finish", finish);
        input.allGood();
        LocalDate day = typed.orElseThrow();
        WhoAgrees.Askable asked = NotFound.unless(who.askable(project).stream()
                .filter(one -> one.pane().id().equals(pane))
                .findFirst());
        ProjectPlan plan = book.fresh(project);
        if (day.isBefore(plan.project().startsOn())) {
            throw Refused.because("The finish lies before the project’s start. Nobody was asked.");
        }
        List<Contact> to = asked.signatories().stream()
                .map(seat -> people.contact(seat.contact()).orElseThrow())
                .toList();
        byte[] pdf = drawUp.draw(plan, asked, day);
        PaperId paper =
                papers.sendDrawnUp(project, PaperKind.DATES, "Dates with the finish on " + words.day(day), pdf, to, by);
        agreements.ask(paper, new Agreements.Asked(day, PlanBook.text(plan).write()));
        return paper;
    }
}
