package app.clearpane.usecases.jobs;

/** Has something that is done again and again. */
public interface Recurring {
    /** What, and when. */
    Recurrence recurrence();
}
