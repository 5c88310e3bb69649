package app.clearpane.usecases.jobs;

import app.clearpane.store.post.GivenUp;
import app.clearpane.usecases.HouseSettings;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceCurrentlyExecutingException;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceNotFoundException;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The durable queues. A job is a row, written in the transaction of its cause, done afterwards, tried again with
 * back-off, and given up visibly. Each queue has a table and workers of its own.
 */
@Component
public class Jobs implements SmartLifecycle {
    private static final Duration FIRST_RETRY = Duration.ofSeconds(10);
    private static final Map<Job.Queue, String> TABLES =
            Map.of(Job.Queue.WORK, "scheduled_tasks", Job.Queue.MAIL, "mail_tasks");
    private static final int THREADS = 2;
    /**
     * Work of a node that was killed is taken up again once it has missed so many beats of its heart: within a minute.
     */
    private static final Duration HEARTBEAT = Duration.ofSeconds(8);

    private static final int MISSED_BEATS = 4;
    private final Map<String, Job> jobs;
    private final Map<Job.Queue, SchedulerClient> clients = new EnumMap<>(Job.Queue.class);
    private final Map<Job.Queue, Scheduler> schedulers = new EnumMap<>(Job.Queue.class);
    private final GivenUp givenUp;
    private final QueueTime time;

    Jobs(DataSource dataSource, List<Job> all, QueueTime time, GivenUp givenUp, HouseSettings house) {
        this.jobs = all.stream().collect(Collectors.toMap(Job::name, job -> job));
        this.givenUp = givenUp;
        this.time = time;
        DataSource inTransaction = new TransactionAwareDataSourceProxy(dataSource);
        TABLES.forEach((queue, table) -> {
            clients.put(
                    queue,
                    SchedulerClient.Builder.create(inTransaction)
                            .tableName(table)
                            .build());
            List<Task<?>> tasks = all.stream()
                    .filter(job -> job.queue() == queue)
                    .<Task<?>>map(this::task)
                    .toList();
            schedulers.put(
                    queue,
                    Scheduler.create(dataSource, tasks)
                            .tableName(table)
                            .clock(time)
                            .threads(THREADS)
                            .heartbeatInterval(HEARTBEAT)
                            .missedHeartbeatsLimit(MISSED_BEATS)
                            .pollingInterval(Duration.ofMillis(house.pollMillis()))
                            .shutdownMaxWait(Duration.ofSeconds(5))
                            .build());
        });
    }

    /** What takes the place of the deprecated handler does not say when it has given up. */
    @SuppressWarnings("deprecation")
    private OneTimeTask<Void> task(Job job) {
        return Tasks.oneTime(job.name())
                .onFailure(new FailureHandler.MaxRetriesFailureHandler<Void>(
                        job.tries(),
                        new FailureHandler.ExponentialBackoffFailureHandler<>(FIRST_RETRY),
                        (failed, done) -> giveUp(job, failed)))
                .execute((instance, context) -> {
                    givenUp.remove(job.name(), instance.getId());
                    job.run(instance.getId());
                });
    }

    private void giveUp(Job job, ExecutionComplete failed) {
        String why = failed.getCause()
                .map(cause -> Objects.requireNonNullElse(
                        cause.getMessage(), cause.getClass().getSimpleName()))
                .orElse("it did not end");
        givenUp.add(job.name(), failed.getExecution().taskInstance.getId(), why, time.now());
    }

    /** Puts a job in the queue. The same job about the same thing stands in the queue once. */
    public void enqueue(String job, UUID about) {
        enqueue(job, about.toString());
    }

    /** Puts a job in the queue, about something that has no UUID. */
    public void enqueue(String job, String about) {
        enqueue(job, about, Instant.EPOCH);
    }

    /** Puts a job in the queue that is not begun before an instant. */
    public void enqueue(String job, String about, Instant notBefore) {
        Job.Queue queue = Objects.requireNonNull(jobs.get(job), job).queue();
        Objects.requireNonNull(clients.get(queue))
                .scheduleIfNotExists(TaskDescriptor.of(job).instance(about).scheduledTo(notBefore));
        if (notBefore == Instant.EPOCH) {
            lookAtOnce(Objects.requireNonNull(schedulers.get(queue)));
        }
    }

    /** Tries something at once that waits for its next try or was given up. @return whether there is such a job */
    public boolean tryAgain(String job, String about) {
        if (!jobs.containsKey(job)) {
            return false;
        }
        givenUp.remove(job, about);
        try {
            Objects.requireNonNull(
                            clients.get(Objects.requireNonNull(jobs.get(job)).queue()))
                    .cancel(TaskDescriptor.of(job).instanceId(about));
        } catch (TaskInstanceNotFoundException | TaskInstanceCurrentlyExecutingException notWaiting) {
            // it was given up, or is being tried just now
        }
        enqueue(job, about);
        return true;
    }

    /** Has the queue looked at as soon as what was put there is there for good, without waiting for the next look. */
    private static void lookAtOnce(Scheduler scheduler) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            scheduler.triggerCheckForDueExecutions();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                scheduler.triggerCheckForDueExecutions();
            }
        });
    }

    @Override
    public void start() {
        schedulers.values().forEach(Scheduler::start);
    }

    @Override
    public void stop() {
        schedulers.values().forEach(Scheduler::stop);
    }

    @Override
    public boolean isRunning() {
        return schedulers.values().stream()
                .allMatch(scheduler -> scheduler.getSchedulerState().isStarted()
                        && !scheduler.getSchedulerState().isShuttingDown());
    }
}
