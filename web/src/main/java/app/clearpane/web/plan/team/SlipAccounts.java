package app.clearpane.web.plan.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.plan.SlipBook;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Where the days went since an agreement, as it is told. */
@Component
class SlipAccounts {
    private final SlipBook slips;
    private final Agreements agreements;

    SlipAccounts(SlipBook slips, Agreements agreements) {
        this.slips = slips;
        this.agreements = agreements;
    }

    /**
     * A ledger to be shown.
     *
     * @param until the day on which other dates were agreed on; empty while it counts
     * @param on whether it was counted on past that day
     * @param moved the days that moved the finish
     */
    record Account(
            Agreements.Agreement agreement,
            Optional<LocalDate> until,
            boolean on,
            SlipLedger ledger,
            List<SlipLedger.Day> moved,
            LocalDate finish) {
        /** The working days the plan left before the agreed finish. */
        public int reserve() {
            return ledger.reserve();
        }

        /** The last day of the plan as it was agreed. */
        public LocalDate planned() {
            return ledger.planned();
        }
    }

    /** @param on whether an earlier agreement's account is counted on to today, past the next one */
    Optional<Account> account(ProjectPlan plan, Optional<UUID> since, boolean on) {
        List<Agreements.Agreement> all = agreements.ofProject(plan.project().id());
        for (int i = 0; i < all.size(); i++) {
            if (since.isEmpty() || all.get(i).id().equals(since.get())) {
                Optional<LocalDate> until =
                        i == 0 ? Optional.empty() : Optional.of(all.get(i - 1).setOn());
                SlipLedger ledger = slips.since(plan, all.get(i), on ? Optional.empty() : until);
                LocalDate finish = ledger.days().isEmpty()
                        ? plan.finish()
                        : ledger.days().get(ledger.days().size() - 1).finish();
                return Optional.of(new Account(
                        all.get(i),
                        until,
                        on,
                        ledger,
                        ledger.days().stream()
                                .filter(day -> day.slip().client() != 0
                                        || day.slip().team() != 0
                                        || day.slip().planChange() != 0)
                                .toList(),
                        finish));
            }
        }
        return Optional.empty();
    }
}
