package app.clearpane.store.supply;

import static app.clearpane.store.schema.Tables.SUPPLIED;

import org.jooq.Condition;

/** Which of what was given for requests is still ours to have: all that its side did not take back. */
public final class StillThere {
    static final String TAKEN_BACK = "TAKEN_BACK";

    private StillThere() {}

    /** Of a row of {@code supplied}. */
    public static Condition is() {
        return SUPPLIED.STANDING.ne(TAKEN_BACK);
    }
}
