package app.clearpane.core.papers;

/** What a paper is, and what its recipients do with it. */
public enum PaperKind {
    /** Agreed to by one of its recipients. */
    PROPOSAL,
    /** Signed by every recipient. */
    CONTRACT,
    /** The days of a project, drawn up from its plan: agreed to by every recipient. */
    DATES,
    /** Paid. */
    INVOICE,
    /** Read. */
    OTHER;

    /** Whether it is settled only once every recipient put their name to it; otherwise the first name settles it. */
    public boolean needsEverybody() {
        return this == CONTRACT || this == DATES;
    }

    /** Whether it is a file that somebody brings; otherwise it is drawn up here. */
    public boolean isBrought() {
        return this != DATES;
    }

    /** Whether something is expected of its recipients beside reading it. */
    public boolean asks() {
        return this != OTHER;
    }

    /** Whether its recipients put their name to it. */
    public boolean takesNames() {
        return this == PROPOSAL || this == CONTRACT || this == DATES;
    }

    public boolean isContract() {
        return this == CONTRACT;
    }

    public boolean isInvoice() {
        return this == INVOICE;
    }
}
