package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;

/** What lets an item pass a Filtered aperture without its being Shown (V1). */
public sealed interface Filter {

    /** Whether it lets an item pass for somebody, whatever stands above the item. */
    boolean passes(Item item, ContactId viewer);

    /** How it is written down. */
    String text();

    /**
     * Reads a filter of a kind.
     *
     * @throws IllegalArgumentException if there is none of this name for the kind
     */
    static Filter of(ContentKind kind, String text) {
        if (kind.filters().isEmpty()) {
            return new Folder(text);
        }
        return kind.hasDays() && text.startsWith(DueWithin.NAME)
                ? new DueWithin(Integer.parseInt(text.substring(DueWithin.NAME.length())))
                : Trait.valueOf(text);
    }

    /** What an item is. */
    enum Trait implements Filter {
        /** A day rather than work. */
        MILESTONES,
        /** A task at the top that gathers others. */
        PHASE_HEADS,
        /** Done. */
        FINISHED,
        /** Its day is over, and it is still to be done. */
        LATE,
        /** It is whoever looks who holds it. */
        WAITS_FOR_VIEWER;

        @Override
        public boolean passes(Item item, ContactId viewer) {
            return this == WAITS_FOR_VIEWER
                    ? item.facts().heldBy().contains(viewer)
                    : item.facts().traits().contains(this);
        }

        @Override
        public String text() {
            return name();
        }
    }

    /** A folder of this name, at the top of a project, with all that lies in it. */
    record Folder(String name) implements Filter {
        @Override
        public String text() {
            return name;
        }

        @Override
        public boolean passes(Item item, ContactId viewer) {
            return item.folder() && item.name().equals(name)
                    || item.ancestors().stream().anyMatch(above -> above.name().equals(name));
        }
    }

    /**
     * What is still to be done and due today or within so many working days; what is late is not. @param days 0 to
     * {@link #MOST}
     */
    record DueWithin(int days) implements Filter {
        public static final int MOST = 250;
        private static final String NAME = "DUE_WITHIN_";

        public DueWithin {
            if (days < 0 || days > MOST) {
                throw new IllegalArgumentException("due within 0 to " + MOST + " working days, got " + days);
            }
        }

        @Override
        public String text() {
            return NAME + days;
        }

        @Override
        public boolean passes(Item item, ContactId viewer) {
            return item.facts().daysLeft().isPresent()
                    && item.facts().daysLeft().getAsInt() <= days;
        }
    }

    /** Whether a filter's answer changes with the day although nobody did anything. */
    default boolean goesByTheDay() {
        return this == Trait.LATE || this instanceof DueWithin;
    }
}
