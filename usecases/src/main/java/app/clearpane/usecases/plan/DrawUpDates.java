package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.shell.Letterhead;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Draws up the dates of a project as a paper, with what all who are asked see. */
@Component
class DrawUpDates {
    private final Viewers viewers;
    private final VisibleDates visible;
    private final PlanForClients forClients;
    private final Letterhead letterhead;
    private final Pages pages;
    private final TheAgency agency;

    DrawUpDates(
            Viewers viewers,
            VisibleDates visible,
            PlanForClients forClients,
            Letterhead letterhead,
            Pages pages,
            TheAgency agency) {
        this.letterhead = letterhead;
        this.viewers = viewers;
        this.visible = visible;
        this.forClients = forClients;
        this.pages = pages;
        this.agency = agency;
    }

    /** A day on the paper. */
    public record Dated(String name, LocalDate day) {}

    /** Draws it up as a PDF. @throws IOException if it cannot be written */
    byte[] draw(ProjectPlan plan, WhoAgrees.Askable asked, LocalDate finish) throws IOException {
        return PdfWriter.write(pages.render("plan/dates-paper", paper(plan, asked, finish)));
    }

    /** What all of them see, and nothing that one of them does not. */
    private Map<String, Object> paper(ProjectPlan plan, WhoAgrees.Askable asked, LocalDate finish) {
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
        model.putAll(letterhead.headOf(plan.project()));
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
        return model;
    }
}
