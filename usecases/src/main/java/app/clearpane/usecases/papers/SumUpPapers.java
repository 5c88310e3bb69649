package app.clearpane.usecases.papers;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.shell.TheAgency;
import java.math.BigDecimal;
import java.util.List;
import org.springframework.stereotype.Component;

/** Sums up what was agreed in a project. */
@Component
public class SumUpPapers {
    private final Deliverables deliverables;
    private final TheAgency agency;

    SumUpPapers(Deliverables deliverables, TheAgency agency) {
        this.deliverables = deliverables;
        this.agency = agency;
    }

    /**
     * What was agreed, in sums of the project's currency.
     *
     * @param signed contracts signed
     * @param agreed proposals agreed; a contract that follows takes their place
     * @param extra rounds beyond those included that were accepted
     * @param open invoices that wait to be paid
     */
    public record Sums(
            BigDecimal signed,
            BigDecimal agreed,
            BigDecimal extra,
            BigDecimal open,
            BigDecimal paid,
            int extraRounds) {}

    /** The sums of a project's papers. */
    public Sums sumUp(ProjectId project, List<Paper> all) {
        List<ExtraRound> extra = deliverables.ofProject(project).stream()
                .map(Deliverable::extra)
                .flatMap(List::stream)
                .toList();
        List<Paper> invoices =
                all.stream().filter(paper -> paper.kind() == PaperKind.INVOICE).toList();
        return new Sums(
                sum(all, PaperState.SIGNED),
                sum(all, PaperState.AGREED),
                extra.stream().map(ExtraRound::fee).reduce(BigDecimal.ZERO, BigDecimal::add),
                sum(invoices, PaperState.OPEN, PaperState.VIEWED, PaperState.OVERDUE),
                sum(all, PaperState.PAID),
                extra.size());
    }

    private BigDecimal sum(List<Paper> all, PaperState... states) {
        return all.stream()
                .filter(paper -> List.of(states).contains(paper.state(agency.today())))
                .map(paper -> paper.amount().orElse(BigDecimal.ZERO))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }
}
