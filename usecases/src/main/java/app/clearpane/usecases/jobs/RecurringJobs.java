package app.clearpane.usecases.jobs;

import app.clearpane.usecases.HouseSettings;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.CronSchedule;
import com.github.kagkarlsson.scheduler.task.schedule.CronStyle;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Does the rounds of all rooms when their time comes, with a worker of its own that no other work holds up. */
@Component
public class RecurringJobs implements SmartLifecycle {
    private static final String TABLE = "recurring_tasks";
    private final Scheduler scheduler;

    RecurringJobs(
            DataSource dataSource, List<Recurring> rooms, QueueTime time, Environment settings, HouseSettings house) {
        List<RecurringTask<Void>> tasks = rooms.stream()
                .map(Recurring::recurrence)
                .map(one -> task(one, settings.resolveRequiredPlaceholders(one.cron())))
                .toList();
        this.scheduler = Scheduler.create(dataSource)
                .startTasks(tasks)
                .tableName(TABLE)
                .clock(time)
                .threads(1)
                .pollingInterval(Duration.ofMillis(house.pollMillis()))
                .shutdownMaxWait(Duration.ofSeconds(5))
                .build();
    }

    private static RecurringTask<Void> task(Recurrence recurrence, String cron) {
        return Tasks.recurring(recurrence.name(), new CronSchedule(cron, ZoneOffset.UTC, CronStyle.SPRING))
                .execute((instance, context) -> {
                    try {
                        recurrence.work().run();
                    } catch (RuntimeException failed) {
                        throw failed;
                    } catch (Exception failed) {
                        throw new IllegalStateException(recurrence.name() + " could not be done", failed);
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
        return scheduler.getSchedulerState().isStarted()
                && !scheduler.getSchedulerState().isShuttingDown();
    }
}
