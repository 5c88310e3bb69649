package app.clearpane.store.record;

import java.sql.Connection;
import java.sql.SQLException;
import org.h2.api.Trigger;
import org.jspecify.annotations.Nullable;

/** Keeps the Record append-only in the database itself: it refuses to change or delete an entry, whoever asks. */
public final class OnlyGrows implements Trigger {
    @Override
    public void fire(Connection connection, Object @Nullable [] before, Object @Nullable [] after) throws SQLException {
        throw new SQLException("the Record only grows: its entries are neither changed nor deleted");
    }
}
