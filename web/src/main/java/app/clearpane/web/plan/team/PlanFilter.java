package app.clearpane.web.plan.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.usecases.plan.task.Assignees;
import java.util.Optional;
import java.util.UUID;

/**
 * Which tasks of a plan are looked at.
 *
 * @param who "all", "mine", "us", "client", or one of the doers as forms name them
 * @param me who looks
 * @param open whether only what is still to be done
 */
record PlanFilter(String who, TeamMemberId me, Optional<UUID> phase, boolean open) {
    /** Whether anything is left out. */
    boolean narrows() {
        return !who.equals("all") || phase.isPresent() || open;
    }

    boolean keeps(PlannedTask task) {
        boolean theirs =
                switch (who) {
                    case "all" -> true;
                    case "mine" -> task.isOnDeskOf(me);
                    case "us" -> task.task().side() == Side.OURS;
                    case "client" -> task.task().side() == Side.CLIENTS;
                    default ->
                        Assignees.value(task).equals(who)
                                || task.details().also().helpers().stream()
                                        .anyMatch(helper ->
                                                who.equals("m:" + helper.id().value()));
                };
        return theirs && (!open || task.task().stage().open());
    }
}
