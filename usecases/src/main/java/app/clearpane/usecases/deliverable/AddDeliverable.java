package app.clearpane.usecases.deliverable;

import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Adds a deliverable, decided on by one pane. */
@Component
public class AddDeliverable {
    private final Deliverables deliverables;
    private final SigningDefaults defaults;
    private final Checklists checklists;
    private final Panes panes;
    private final NewItem newItem;
    private final AuditLog audit;
    private final Clock clock;

    AddDeliverable(
            Deliverables deliverables,
            SigningDefaults defaults,
            Checklists checklists,
            Panes panes,
            NewItem newItem,
            AuditLog audit,
            Clock clock) {
        this.deliverables = deliverables;
        this.defaults = defaults;
        this.checklists = checklists;
        this.panes = panes;
        this.newItem = newItem;
        this.audit = audit;
        this.clock = clock;
    }

    /** What it is to be. */
    public record Wanted(Name name, String about, PaneId pane, Rule rule, int reviewDays) {}

    /** Adds it. */
    @Transactional
    public ItemId add(ProjectId project, Wanted wanted, Actor by) {
        Panes.Row pane = NotFound.unless(
                panes.find(wanted.pane()).filter(p -> p.project().equals(project)));
        ItemId item =
                newItem.add(project, ContentKind.DELIVERABLES, wanted.name().value(), Optional.empty(), by);
        SigningDefaults.Usual usual = defaults.usualOf(project);
        deliverables.add(
                item,
                pane.id(),
                wanted.about(),
                new SigningTerms(
                        wanted.rule(), wanted.reviewDays(), usual.terms().allowance()));
        checklists.set(item, usual.checklist());
        audit.append(
                project,
                item.value(),
                new VersionActs.DeliverableAdded(by, wanted.name().value(), pane.name()));
        return item;
    }
}
