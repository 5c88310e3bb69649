package app.clearpane.web.jobs;

import app.clearpane.web.House;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The durable queue. A job is a row, written in the transaction of its cause, done afterwards, and tried again with back-off. */
@Component
public class Jobs implements SmartLifecycle {
  private static final Duration FIRST_RETRY = Duration.ofSeconds(10);
  private static final int THREADS = 2;
  private final SchedulerClient queue;
  private final Scheduler scheduler;

  Jobs(DataSource dataSource, List<Job> jobs, QueueTime time, House house) {
    DataSource inTransaction = new TransactionAwareDataSourceProxy(dataSource);
    this.queue = SchedulerClient.Builder.create(inTransaction).build();
    this.scheduler = Scheduler.create(dataSource, jobs.stream().<com.github.kagkarlsson.scheduler.task.Task<?>>map(Jobs::task).toList()).clock(time).threads(THREADS)
        .pollingInterval(Duration.ofMillis(house.pollMillis())).shutdownMaxWait(Duration.ofSeconds(5)).build();
  }

  private static OneTimeTask<Void> task(Job job) {
    return Tasks.oneTime(job.name()).onFailure(new FailureHandler.ExponentialBackoffFailureHandler<Void>(FIRST_RETRY))
        .execute((instance, context) -> job.run(instance.getId()));
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
    queue.scheduleIfNotExists(com.github.kagkarlsson.scheduler.task.TaskDescriptor.of(job).instance(about).scheduledTo(notBefore));
    if (notBefore == Instant.EPOCH) {
      atOnce();
    }
  }

  /** Has the queue looked at as soon as what was put there is there for good, without waiting for the next look. */
  private void atOnce() {
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
    scheduler.start();
  }

  @Override
  public void stop() {
    scheduler.stop();
  }

  @Override
  public boolean isRunning() {
    return scheduler.getSchedulerState().isStarted() && !scheduler.getSchedulerState().isShuttingDown();
  }
}
