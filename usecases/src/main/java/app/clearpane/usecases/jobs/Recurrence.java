package app.clearpane.usecases.jobs;

/**
 * Work that is done again and again, by one server of several, and caught up with once after a time in which none ran.
 *
 * @param name the name it is kept by
 * @param cron seconds, minutes, hours, day of the month, month, day of the week, in UTC; {@code -} for never; may be a
 *     setting of the house
 */
public record Recurrence(String name, String cron, Work work) {
    /** What is done. An exception is noted, and it is done again the next time. */
    public interface Work {
        void run() throws Exception;
    }
}
