package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes panes, gives them their words, and sets their apertures. */
@Component
public class SetUpPane {
    private final TurnBack turnBack;
    private static final int LONGEST_WELCOME = 800;
    private static final int LONGEST_GUIDE = 2_000;
    private final Panes panes;
    private final Projects projects;
    private final TheAgency agency;
    private final AuditLog audit;
    private final Clock clock;

    SetUpPane(TurnBack turnBack, Panes panes, Projects projects, TheAgency agency, AuditLog audit, Clock clock) {
        this.turnBack = turnBack;
        this.panes = panes;
        this.projects = projects;
        this.agency = agency;
        this.audit = audit;
        this.clock = clock;
    }

    /** Makes a pane through which nothing passes yet. */
    @Transactional
    public PaneId add(ProjectId project, String name, String welcome, Actor by) {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The pane", name);
        String words = input.text("The welcome", welcome, LONGEST_WELCOME);
        input.allGood();
        PaneId pane = panes.add(project, named.orElseThrow().value(), words, clock.instant());
        panes.holdBackOwnOfOthers(pane, project, by, clock.instant());
        audit.append(
                project,
                pane.value(),
                new ShowingActs.PaneAdded(by, named.orElseThrow().value(), Optional.empty()));
        return pane;
    }

    /** Makes a pane like another one of the same project, without its seats. */
    @Transactional
    public PaneId copy(ProjectId project, PaneId like, String name, Actor by) {
        Panes.Row from =
                NotFound.unless(panes.find(like).filter(found -> found.project().equals(project)));
        Input input = new Input();
        Optional<Name> named = input.name("The pane", name);
        input.allGood();
        PaneId pane = panes.copy(like, project, named.orElseThrow().value(), clock.instant());
        panes.holdBackOwnOfOthers(pane, project, by, clock.instant());
        audit.append(
                project,
                pane.value(),
                new ShowingActs.PaneAdded(by, named.orElseThrow().value(), Optional.of(from.name())));
        return pane;
    }

    /**
     * A pane's words as typed; an empty cover is the project's, an empty first day opens it when it is published, an
     * empty last day keeps it open.
     */
    public record WordsForm(
            String name,
            String welcome,
            @Nullable String guide,
            @Nullable String cover,
            @Nullable String firstDay,
            String lastDay,
            int revision) {}

    /**
     * Changes a pane's name, welcome, guide, cover, first and last day. @param sure whether what waits behind a pane
     * that closes comes back to us
     */
    @Transactional
    public ProjectId change(PaneId id, WordsForm form, boolean sure, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        Input input = new Input();
        Optional<Name> named = input.name("The pane", form.name());
        String words = input.text("The welcome", form.welcome(), LONGEST_WELCOME);
        Optional<LocalDate> lastDay =
                form.lastDay().isBlank() ? Optional.empty() : input.day("The last day", form.lastDay());
        String guide = input.text("The guide", Objects.requireNonNullElse(form.guide(), ""), LONGEST_GUIDE);
        String cover = Objects.requireNonNullElse(form.cover(), pane.cover());
        input.require(cover.isEmpty() || Covers.ALL.contains(cover), "Choose one of the covers.");
        String first = Objects.requireNonNullElse(form.firstDay(), "");
        Optional<LocalDate> firstDay = first.isBlank() ? Optional.empty() : input.day("The first day", first);
        input.require(
                firstDay.isEmpty() || lastDay.isEmpty() || !lastDay.get().isBefore(firstDay.get()),
                "The last day is before the first.");
        input.allGood();
        Optional<Instant> opens =
                firstDay.map(day -> day.atStartOfDay(agency.get().zone()).toInstant());
        Optional<Instant> closes = lastDay.map(
                day -> day.plusDays(1).atStartOfDay(agency.get().zone()).toInstant());
        if (closes.filter(end -> !end.isAfter(clock.instant())).isPresent()) {
            turnBack.bringBack(
                    pane.project(),
                    Optional.of(id),
                    one -> true,
                    new TurnBack.Words(
                            "The pane closes with its last day, so nobody sees it any more, and it is our turn "
                                    + "again. What they did until now stays in the Record.",
                            "Close it all the same",
                            "The pane was closed."),
                    sure,
                    by);
        }
        panes.change(pane.saying(named.orElseThrow().value(), words, guide)
                .under(cover)
                .open(opens.orElse(null), closes.orElse(null))
                .seenAt(form.revision()));
        audit.append(
                pane.project(),
                id.value(),
                new ShowingActs.PaneChanged(
                        by, named.orElseThrow().value(), words, guide, cover, first, form.lastDay()));
        return pane.project();
    }

    /** Sets an aperture. Narrowing works at once; widening waits for publishing. */
    @Transactional
    public ProjectId setAperture(PaneId id, ContentKind kind, Aperture aperture, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        SetForAllPanes.pickableOrWhole(kind, aperture);
        panes.setAperture(id, kind, aperture);
        audit.append(pane.project(), id.value(), new ShowingActs.ApertureSet(by, pane.name(), kind, aperture));
        return pane.project();
    }

    /** Names the filters of a kind, for where it is Filtered. Fewer work at once; more wait for publishing. */
    @Transactional
    public ProjectId setFilters(PaneId id, ContentKind kind, String folders, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        Set<String> names = FolderNames.parse(kind, folders);
        panes.setFilters(id, kind, names);
        audit.append(
                pane.project(), id.value(), new ShowingActs.FilterSet(by, pane.name(), kind, String.join(", ", names)));
        return pane.project();
    }

    /** Lets new items of a kind arrive Shown from now on, or unset again. */
    @Transactional
    public ProjectId setArrivals(PaneId id, ContentKind kind, boolean shown, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        if (!kind.pickable()) {
            throw Refused.because("Status is open or closed as a whole; nothing arrives in it.");
        }
        panes.setArrivals(id, kind, shown, by, clock.instant());
        audit.append(
                pane.project(),
                id.value(),
                new ShowingActs.ArrivalsTurned(shown ? Act.ARRIVALS_SHOWN : Act.ARRIVALS_UNSET, by, pane.name(), kind));
        return pane.project();
    }

    /**
     * Lets a pane follow the starting point again, or gives it apertures of its own, those of this moment. Both wait
     * for publishing.
     */
    @Transactional
    public ProjectId follow(PaneId id, boolean follows, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        if (follows) {
            panes.follow(id);
        } else {
            panes.giveItsOwn(id);
        }
        audit.append(
                pane.project(),
                id.value(),
                new ShowingActs.PaneTurned(follows ? Act.PANE_FOLLOWS : Act.PANE_HAS_ITS_OWN, by, pane.name()));
        return pane.project();
    }
}
