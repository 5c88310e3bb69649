package app.clearpane.store;

import java.util.Arrays;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import org.jooq.DSLContext;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteListenerProvider;
import org.jooq.ExecuteType;
import org.jooq.impl.DSL;
import org.jooq.impl.DefaultExecuteListenerProvider;

/**
 * Counts what is written through the repositories. While the count stands, what was read stands too: whoever keeps
 * something they read beside the count they asked for before reading it never gives out what was taken away in the
 * meantime.
 */
public final class WriteCounter implements ExecuteListener {
    private static final long serialVersionUID = 1L;
    private final AtomicLong count = new AtomicLong();
    private final transient Consumer<Runnable> onceSettled;

    /** @param onceSettled runs something once the transaction under way has ended, or at once where there is none */
    public WriteCounter(Consumer<Runnable> onceSettled) {
        this.onceSettled = onceSettled;
    }

    /** How often something was written. To be asked before reading what is kept beside it. */
    public long count() {
        return count.get();
    }

    @Override
    public void end(ExecuteContext context) {
        if (context.type() != ExecuteType.READ && context.rows() != 0) {
            onceSettled.accept(count::incrementAndGet);
        }
    }

    /** The same database for writing what is counted apart. @param other counts it instead of this */
    public DSLContext countedBy(WriteCounter other, DSLContext db) {
        return DSL.using(db.configuration()
                .derive(Arrays.stream(db.configuration().executeListenerProviders())
                        .map(provider ->
                                provider.provide() == this ? new DefaultExecuteListenerProvider(other) : provider)
                        .toArray(ExecuteListenerProvider[]::new)));
    }
}
