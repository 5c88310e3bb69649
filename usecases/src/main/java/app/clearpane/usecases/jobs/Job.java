package app.clearpane.usecases.jobs;

/** Slow work that can be done again without harm. */
public interface Job {
    /** The name it is queued by. */
    String name();

    /** Which workers do it; those of one queue never wait for those of another. */
    default Queue queue() {
        return Queue.WORK;
    }

    /** How often it is tried before it is given up, which the owners see. */
    default int tries() {
        return 8;
    }

    /** Does it. An exception puts it back for a later try. */
    void run(String about);

    /** The queues. */
    enum Queue {
        /** Drawing, comparing, bundling. */
        WORK,
        /** What goes out to the world, and may wait for it. */
        MAIL
    }
}
