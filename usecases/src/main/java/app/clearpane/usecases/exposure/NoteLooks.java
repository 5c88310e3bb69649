package app.clearpane.usecases.exposure;

import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.record.AuditLog;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes to the Record that one of the team looked through a seat: as a look of theirs, once an hour for each seat,
 * never as the client's.
 */
@Component
class NoteLooks {
    private static final Duration SAME = Duration.ofHours(1);
    private final Panes panes;
    private final AuditLog audit;
    private final TransactionTemplate transactions;
    private final Cache<List<Object>, Boolean> lately =
            Caffeine.newBuilder().expireAfterWrite(SAME).maximumSize(100_000).build();

    NoteLooks(Panes panes, AuditLog audit, TransactionTemplate transactions) {
        this.panes = panes;
        this.audit = audit;
        this.transactions = transactions;
    }

    @EventListener
    void note(LookedThrough look) {
        if (lately.asMap().putIfAbsent(List.of(look.member().id(), look.viewer().seat()), true) == null) {
            transactions.executeWithoutResult(status -> audit.append(
                    look.viewer().project(),
                    look.viewer().pane().value(),
                    new ShowingActs.LookedThrough(
                            look.member().actor(),
                            panes.find(look.viewer().pane()).orElseThrow().name(),
                            look.viewer().name())));
        }
    }
}
