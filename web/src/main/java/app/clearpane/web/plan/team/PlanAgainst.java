package app.clearpane.web.plan.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.SlipBook;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A plan against what was agreed once. */
@Component
class PlanAgainst {
    private final Agreements agreements;
    private final PlanBook book;
    private final SlipBook slips;

    PlanAgainst(Agreements agreements, PlanBook book, SlipBook slips) {
        this.agreements = agreements;
        this.book = book;
        this.slips = slips;
    }

    /** A plan against an agreement. @param slip what moved its finish since; missing where nothing was agreed */
    record Compared(ProjectPlan plan, @Nullable SlipLedger slip) {}

    /** All that was agreed in a project. */
    List<Agreements.Made> agreed(ProjectId project) {
        return agreements.made(project);
    }

    /** Against one agreement, or else against the latest. */
    Compared compare(ProjectPlan latest, Optional<UUID> agreement) {
        Optional<Agreements.Agreement> against =
                agreement.flatMap(id -> agreements.find(latest.project().id(), id));
        ProjectPlan plan = against.map(earlier -> book.against(latest, earlier)).orElse(latest);
        return new Compared(
                plan,
                against.map(earlier -> slips.since(plan, earlier, Optional.empty()))
                        .or(() -> slips.latest(plan))
                        .orElse(null));
    }
}
