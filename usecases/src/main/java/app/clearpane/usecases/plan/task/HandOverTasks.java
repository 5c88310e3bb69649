package app.clearpane.usecases.plan.task;

import app.clearpane.core.agency.ContactId;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.KeepPlan;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Hands all tasks of one entry of a client’s people over to another. */
@Component
public class HandOverTasks {
    private final Tasks tasks;
    private final KeepPlan keepPlan;

    HandOverTasks(Tasks tasks, KeepPlan keepPlan) {
        this.tasks = tasks;
        this.keepPlan = keepPlan;
    }

    /** Hands them over. @param goes who has them @param stays who gets them */
    @Transactional
    public void handOver(ContactId goes, ContactId stays) {
        tasks.handOver(goes, stays).forEach(keepPlan::changed);
    }
}
