package app.clearpane.usecases.concern;

import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Concern;
import app.clearpane.core.project.Gravity;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.project.Concerns;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Notes concerns, changes them, settles them and lets them stand again. */
@Component
public class KeepConcern {
    private static final int LONGEST = 2_000;
    private final Concerns concerns;
    private final Projects projects;
    private final TeamSight sight;
    private final DeleteItem deleteItem;
    private final NewItem newItem;
    private final AuditLog audit;
    private final Clock clock;

    KeepConcern(
            Concerns concerns,
            Projects projects,
            TeamSight sight,
            DeleteItem deleteItem,
            NewItem newItem,
            AuditLog audit,
            Clock clock) {
        this.concerns = concerns;
        this.projects = projects;
        this.sight = sight;
        this.deleteItem = deleteItem;
        this.newItem = newItem;
        this.audit = audit;
        this.clock = clock;
    }

    /** A concern as typed. @param owner empty for nobody @param revision as it was seen; 0 for a new one */
    public record Form(
            String name,
            boolean issue,
            int likelihood,
            int effect,
            String about,
            String measure,
            String owner,
            int revision) {}

    /** Notes one. */
    @Transactional
    public ItemId add(ProjectId project, Form form, Actor by) {
        NotFound.unless(projects.find(project));
        Concern wanted = read(new ItemId(project.value()), project, form);
        ItemId id = newItem.add(project, ContentKind.CONCERNS, wanted.name(), Optional.empty(), by);
        concerns.add(read(id, project, form));
        audit.append(project, id.value(), said(Act.CONCERN_NOTED, by, wanted));
        return id;
    }

    /** Changes one. */
    @Transactional
    public ProjectId change(ItemId id, Form form, Actor by) {
        Concern before = NotFound.unless(concerns.find(id));
        Concern wanted = read(id, before.project(), form);
        concerns.change(wanted, clock.instant());
        audit.append(before.project(), id.value(), said(Act.CONCERN_CHANGED, by, wanted));
        return before.project();
    }

    /** Settles one, or lets it stand again. */
    @Transactional
    public ProjectId close(ItemId id, boolean settled, Actor by) {
        Concern concern = NotFound.unless(concerns.find(id));
        if (concern.open() == settled) {
            concerns.close(concern, settled ? clock.instant() : null, clock.instant());
            audit.append(
                    concern.project(),
                    id.value(),
                    new PlanActs.ConcernTurned(
                            settled ? Act.CONCERN_SETTLED : Act.CONCERN_STANDS_AGAIN, by, concern.name()));
        }
        return concern.project();
    }

    /** Takes one away that was noted in error. */
    @Transactional
    public ProjectId delete(ItemId id, Actor by) {
        Concern concern = NotFound.unless(concerns.find(id));
        deleteItem.delete(id, by);
        audit.append(concern.project(), id.value(), new PlanActs.ConcernDeleted(by, concern.name()));
        return concern.project();
    }

    private Concern read(ItemId id, ProjectId project, Form form) {
        Input input = new Input();
        Optional<Name> name = input.name("What it is called", form.name());
        String about = input.text("What it is", form.about(), LONGEST);
        String measure = input.text("What is done about it", form.measure(), LONGEST);
        input.require(
                form.likelihood() >= Gravity.LEAST
                        && form.likelihood() <= Gravity.MOST
                        && form.effect() >= Gravity.LEAST
                        && form.effect() <= Gravity.MOST,
                "Choose how likely it is and what it would do from the lists.");
        Optional<TeamMemberId> chosen =
                form.owner().isBlank() ? Optional.empty() : input.one("Who sees to it", form.owner(), TeamMemberId::of);
        input.allGood();
        Optional<TeamMember> owner = chosen.map(member -> NotFound.unless(sight.seeing(project, member)));
        return new Concern(
                id,
                project,
                name.orElseThrow().value(),
                form.issue(),
                form.likelihood(),
                form.effect(),
                about,
                measure,
                owner.map(TeamMember::id).orElse(null),
                owner.map(TeamMember::name).orElse(""),
                null,
                form.revision());
    }

    private static PlanActs.ConcernSaid said(Act act, Actor by, Concern concern) {
        return new PlanActs.ConcernSaid(
                act,
                by,
                concern.name(),
                concern.issue(),
                concern.likelihood(),
                concern.effect(),
                concern.about(),
                concern.measure(),
                concern.ownerName());
    }
}
