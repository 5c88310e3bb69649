package app.clearpane.core.plan;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.RequestId;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A task as its team keeps it.
 *
 * @param task what the rules of the plan know of it
 * @param position its place among those of the same parent
 * @param hands who does it
 * @param details what else is said of it
 * @param revision of its row
 */
public record PlannedTask(Task task, ProjectId project, int position, Hands hands, Details details, int revision) {

    /**
     * Who does a task.
     *
     * @param contact a person outside the agency; else a member of the team, or nobody in person
     * @param name theirs; empty where it is nobody in person
     */
    public record Hands(Optional<ContactId> contact, Optional<TeamMemberId> member, String name) {
        /** Nobody in person. */
        public static final Hands NOBODY = new Hands(Optional.empty(), Optional.empty(), "");
    }

    /**
     * What else is said of a task.
     *
     * @param milestone the milestone that waits for it
     * @param follows what it stands for, and moves with
     * @param by when it is to be done, apart from the plan
     * @param labels in the order written
     * @param notes Markdown
     * @param repeats a recurrence rule (RFC 5545 RRULE) by which the next one is made when it is done; empty for once
     * @param also where it stands too
     */
    public record Details(
            Optional<UUID> phase,
            Optional<ItemId> milestone,
            Optional<Follows> follows,
            Due by,
            Priority priority,
            List<String> labels,
            String notes,
            String repeats,
            Also also) {
        /** Nothing in particular. */
        public static final Details NONE = new Details(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Due.NONE,
                Priority.USUAL,
                List.of(),
                "",
                "",
                Also.NOWHERE);

        public Details {
            labels = List.copyOf(labels);
        }

        /** The deliverable whose making or review it is. */
        public Optional<ItemId> deliverable() {
            return follows.flatMap(
                    one -> one instanceof Follows.OfDeliverable of ? Optional.of(of.deliverable()) : Optional.empty());
        }

        /** The request it stands for. */
        public Optional<RequestId> request() {
            return follows.flatMap(
                    one -> one instanceof Follows.OfRequest of ? Optional.of(of.request()) : Optional.empty());
        }

        /** The paper it stands for. */
        public Optional<PaperId> paper() {
            return follows.flatMap(
                    one -> one instanceof Follows.OfPaper of ? Optional.of(of.paper()) : Optional.empty());
        }

        /** The same, standing for something. */
        public Details following(Follows other) {
            return new Details(phase, milestone, Optional.of(other), by, priority, labels, notes, repeats, also);
        }

        /** The day it is to be done by. */
        public Optional<LocalDate> due() {
            return by.day();
        }

        /** The same, to be done by another time. */
        public Details with(Due other) {
            return new Details(phase, milestone, follows, other, priority, labels, notes, repeats, also);
        }
    }

    /** The same with other details. */
    public PlannedTask with(Details other) {
        return new PlannedTask(task, project, position, hands, other, revision);
    }

    /** Somebody of the team who has it on their desk too. */
    public record Helper(TeamMemberId id, String name) {}

    /**
     * Where a task stands beside its own place; it is the same task there.
     *
     * @param phases under which it is listed too
     * @param helpers on whose desks it is too
     */
    public record Also(List<UUID> phases, List<Helper> helpers) {
        /** Nowhere else. */
        public static final Also NOWHERE = new Also(List.of(), List.of());

        public Also {
            phases = List.copyOf(phases);
            helpers = List.copyOf(helpers);
        }
    }

    /** Whether it is on the desk of this member of the team, as whoever does it or as a helper. */
    public boolean isOnDeskOf(TeamMemberId member) {
        return hands.member().filter(member::equals).isPresent()
                || details.also().helpers().stream()
                        .anyMatch(helper -> helper.id().equals(member));
    }

    /** Its identifier, the same as that of its item. */
    public ItemId id() {
        return task.id();
    }

    /** Its name. */
    public String name() {
        return task.name();
    }

    /** The same with other knowledge for the rules. */
    public PlannedTask with(Task changed) {
        return new PlannedTask(changed, project, position, hands, details, revision);
    }
}
