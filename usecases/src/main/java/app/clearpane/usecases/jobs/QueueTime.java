package app.clearpane.usecases.jobs;

import com.github.kagkarlsson.scheduler.Clock;

/**
 * The time by which the queue decides what is due; it never runs backwards, whatever story the demo's clock is telling.
 */
public interface QueueTime extends Clock {}
