package app.clearpane.usecases.plan;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.papers.PaperSettled;
import app.clearpane.usecases.papers.SendDrawnUp;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.io.IOException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Asks the signatories of a pane to agree to the dates as they are forecast today. They get them as a paper that says
 * no more than each of them sees through the pane; once all have put their names to it, these dates are the agreed
 * ones.
 */
@Component
public class AskForDates {
    private final Panes panes;
    private final Seats seats;
    private final Viewers viewers;
    private final VisibleDates visible;
    private final PlanForClients forClients;
    private final PlanBook book;
    private final Agreements agreements;
    private final AgreeDates agreeDates;
    private final People people;
    private final SendDrawnUp papers;
    private final Pages pages;
    private final TheAgency agency;
    private final Words words;

    AskForDates(
            Panes panes,
            Seats seats,
            Viewers viewers,
            VisibleDates visible,
            PlanForClients forClients,
            PlanBook book,
            Agreements agreements,
            AgreeDates agreeDates,
            People people,
            SendDrawnUp papers,
            Pages pages,
            TheAgency agency,
            Words words) {
        this.panes = panes;
        this.seats = seats;
        this.viewers = viewers;
        this.visible = visible;
        this.forClients = forClients;
        this.book = book;
        this.agreements = agreements;
        this.agreeDates = agreeDates;
        this.people = people;
        this.papers = papers;
        this.pages = pages;
        this.agency = agency;
        this.words = words;
    }

    /** A day on the paper. */
    public record Dated(String name, LocalDate day) {}

    /** Panes whose signatories can be asked, with how many they are. */
    public record Askable(Panes.Row pane, List<SeatRow> signatories) {}

    /** Published panes of a project that have signatories. */
    public List<Askable> askable(ProjectId project) {
        List<SeatRow> all = seats.ofProject(project);
        return panes.ofProject(project).stream()
                .filter(pane -> pane.publishedAt() != null)
                .map(pane -> new Askable(pane, signatories(all, pane.id())))
                .filter(one -> !one.signatories().isEmpty())
                .toList();
    }

    private static List<SeatRow> signatories(List<SeatRow> all, PaneId pane) {
        return all.stream()
                .filter(seat -> seat.pane().equals(pane)
                        && seat.role() == SeatRole.SIGNATORY
                        && seat.state() != SeatState.ENDED)
                .toList();
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
        Askable asked = NotFound.unless(askable(project).stream()
                .filter(one -> one.pane().id().equals(pane))
                .findFirst());
        ProjectPlan plan = book.fresh(project);
        if (day.isBefore(plan.project().startsOn())) {
            throw Refused.because("The finish lies before the project’s start. Nobody was asked.");
        }
        List<Contact> to = asked.signatories().stream()
                .map(seat -> people.contact(seat.contact()).orElseThrow())
                .toList();
        byte[] pdf = PdfWriter.write(pages.render("plan/dates-paper", paper(plan, asked, day)));
        PaperId paper =
                papers.sendDrawnUp(project, PaperKind.DATES, "Dates with the finish on " + words.day(day), pdf, to, by);
        agreements.ask(paper, new Agreements.Asked(day, PlanBook.text(plan).write()));
        return paper;
    }

    /** What all of them see, and nothing that one of them does not. */
    private Map<String, Object> paper(ProjectPlan plan, Askable asked, LocalDate finish) {
        List<Viewer> readers = asked.signatories().stream()
                .map(seat -> viewers.lookingThrough(seat.id(), Viewer.Sight.NOW, agency.now()))
                .flatMap(Optional::stream)
                .toList();
        List<Milestone> milestones = readers.stream()
                .map(visible::milestones)
                .reduce((some, others) -> some.stream()
                        .filter(one ->
                                others.stream().anyMatch(other -> other.id().equals(one.id())))
                        .toList())
                .orElse(List.of());
        Map<ItemId, LocalDate> days = readers.isEmpty() ? Map.of() : forClients.days(readers.get(0), milestones);
        List<Phase> phases = readers.stream()
                .map(reader -> forClients.howFar(reader).phases())
                .reduce((some, others) -> others.isEmpty() ? others : some)
                .orElse(List.of());
        Map<String, Object> model = new HashMap<>();
        model.put("project", plan.project());
        model.put("finish", finish);
        model.put("before", plan.agreedFinish());
        model.put(
                "milestones",
                milestones.stream()
                        .map(one ->
                                new Dated(one.name(), Objects.requireNonNullElse(days.get(one.id()), one.fallsOn())))
                        .toList());
        model.put("phases", phases);
        model.put("asked", asked.signatories());
        model.put("today", plan.today());
        model.put("agency", agency.get());
        return model;
    }

    /** Once everybody asked has agreed, the plan that was put before them counts. */
    @EventListener
    public void settled(PaperSettled event) {
        agreements
                .asked(event.paper())
                .ifPresent(
                        asked -> agreeDates.asAsked(event.project(), asked, words.and(event.recipients()), event.by()));
    }
}
