package app.clearpane.store;

/** Somebody else changed it since it was read. */
public final class Stale extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param what the thing that was changed meanwhile, as people call it */
    public Stale(String what) {
        super(what + " was changed meanwhile");
    }

    /** Passes if exactly one row was changed. */
    public static void unlessOne(int rowsChanged, String what) {
        if (rowsChanged != 1) {
            throw new Stale(what);
        }
    }
}
