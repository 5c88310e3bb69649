package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.core.supply.Leaving;
import app.clearpane.core.supply.Request;
import app.clearpane.store.project.Projects;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends the drafts that go out by themselves, once their day has come: within working hours, never while a project
 * rests. Those that cannot go stay drafts.
 */
@Component
public class SendWhenDue implements Recurring {
    private static final Logger LOG = LoggerFactory.getLogger(SendWhenDue.class);

    private final Requests requests;
    private final Projects projects;
    private final SendRequest sendRequest;
    private final RequestInPlan plan;
    private final TheAgency agency;
    private final TransactionTemplate transaction;

    SendWhenDue(
            Requests requests,
            Projects projects,
            SendRequest sendRequest,
            RequestInPlan plan,
            TheAgency agency,
            TransactionTemplate transaction) {
        this.requests = requests;
        this.projects = projects;
        this.sendRequest = sendRequest;
        this.plan = plan;
        this.agency = agency;
        this.transaction = transaction;
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("requests that go out", "${clearpane.requests:45 */5 * * * *}", this::goRound);
    }

    /** Sends what is due now. */
    public void goRound() {
        if (agency.isFounded()) {
            requests.leaving().forEach(this::look);
        }
    }

    private void look(Request draft) {
        transaction.executeWithoutResult(status -> plan.leaves(draft));
        boolean works =
                projects.find(draft.project()).filter(SendWhenDue::isWorkedOn).isPresent();
        boolean due =
                plan.goesOut(draft).filter(day -> !day.isAfter(agency.today())).isPresent();
        if (works && due && draft.leaves().filter(Leaving::alone).isPresent() && isWithinHours(agency.now())) {
            try {
                sendRequest.send(draft.id(), false, new Actor.House(agency.get().name()));
            } catch (Refused cannotGo) {
                LOG.info("The request {} stays a draft: {}", draft.id(), cannotGo.getMessage());
            }
        }
    }

    private static boolean isWorkedOn(Project project) {
        return project.pausedAt() == null && project.archivedAt() == null;
    }

    private boolean isWithinHours(Instant now) {
        return agency.calendar().isWorkingDay(agency.today())
                && !now.isBefore(agency.calendar().opens(agency.today()))
                && now.isBefore(agency.calendar().closes(agency.today()));
    }
}
