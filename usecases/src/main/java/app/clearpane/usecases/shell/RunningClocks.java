package app.clearpane.usecases.shell;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.store.plan.TimeSpent;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The clocks that run, for every page. Remembered until one is started or stopped. */
@Component
public class RunningClocks {
    private final TimeSpent timeSpent;
    private final AtomicReference<@Nullable Map<TeamMemberId, TimeSpent.Running>> known = new AtomicReference<>();

    RunningClocks(TimeSpent timeSpent) {
        this.timeSpent = timeSpent;
    }

    /** Somebody's. */
    public Optional<TimeSpent.Running> runningOf(TeamMemberId member) {
        Map<TeamMemberId, TimeSpent.Running> clocks = known.get();
        if (clocks == null) {
            clocks = timeSpent.clocks();
            known.set(clocks);
        }
        return Optional.ofNullable(clocks.get(member));
    }

    /** Reads them anew, now and once what changed is kept. */
    public void changed() {
        known.set(null);
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    known.set(null);
                }
            });
        }
    }
}
