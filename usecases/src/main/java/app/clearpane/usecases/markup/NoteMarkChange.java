package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.record.Happening;
import app.clearpane.usecases.record.AuditLog;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Notes what happened to marks: in the audit log, and to those who have the same deliverable on their table. */
@Component
public class NoteMarkChange {
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    NoteMarkChange(AuditLog audit, ApplicationEventPublisher events) {
        this.audit = audit;
        this.events = events;
    }

    /** Notes it. @param forTeam whether clients are not to notice */
    public void note(Deliverable deliverable, Happening what, boolean forTeam) {
        audit.append(deliverable.project(), deliverable.id().value(), what);
        events.publishEvent(new MarksMoved(deliverable.id(), forTeam));
    }
}
