package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads deliverables with all that says how they stand, in as many statements for one as for a thousand. */
@Component
public class States {
    private final Deliverables deliverables;
    private final Markups markups;
    private final Releases releases;
    private final Drawings drawings;
    private final TheAgency agency;
    private final Clock clock;

    States(
            Deliverables deliverables,
            Markups markups,
            Releases releases,
            Drawings drawings,
            TheAgency agency,
            Clock clock) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.releases = releases;
        this.drawings = drawings;
        this.agency = agency;
        this.clock = clock;
    }

    /** The deliverables of a project, in order. */
    public List<DeliverableState> statesOf(ProjectId project) {
        List<Version> versions = deliverables.versionsOf(project);
        return statesOf(project, versions, thumbnails(versions));
    }

    /** The same without their thumbnails. */
    public List<DeliverableState> withoutThumbnails(ProjectId project) {
        return statesOf(project, deliverables.versionsOf(project), Map.of());
    }

    private List<DeliverableState> statesOf(
            ProjectId project, List<Version> versions, Map<Sha256, Drawings.Sheet> thumbnails) {
        return states(
                deliverables.ofProject(project),
                versions,
                deliverables.roundsOf(project),
                releases.ofProject(project),
                markups.marksOf(project),
                thumbnails);
    }

    /** The deliverables of all projects that are worked on, without their thumbnails. */
    public List<DeliverableState> ofActiveProjects() {
        return states(
                deliverables.ofActiveProjects(),
                deliverables.versionsOfActiveProjects(),
                deliverables.roundsOfActiveProjects(),
                releases.ofActiveProjects(),
                markups.ofActiveProjects(),
                Map.of());
    }

    /** One deliverable; its marks without their threads. @throws NotFound if there is none */
    public DeliverableState statesOf(ItemId id) {
        List<Version> versions = deliverables.versions(id);
        return one(id, versions, markups.withoutThreads(id), thumbnails(versions));
    }

    /** One deliverable without its thumbnail and marks. @throws NotFound if there is none */
    public DeliverableState inBrief(ItemId id) {
        return one(id, deliverables.versions(id), List.of(), Map.of());
    }

    /** One deliverable without its thumbnail; its marks with their threads. @throws NotFound if there is none */
    public DeliverableState withThreads(ItemId id) {
        return one(id, deliverables.versions(id), markups.marksOf(id), Map.of());
    }

    /**
     * The deliverable of a version without its thumbnail; its marks with their threads. @throws NotFound if there is no
     * such version
     */
    public DeliverableState withThreads(VersionId version) {
        List<Version> versions = deliverables.versionsBeside(version);
        ItemId id = NotFound.unless(versions.stream().findFirst()).deliverable();
        return one(id, versions, markups.marksOf(id), Map.of());
    }

    private Map<Sha256, Drawings.Sheet> thumbnails(List<Version> versions) {
        Map<ItemId, Sha256> newest = new HashMap<>();
        versions.forEach(version -> newest.put(version.deliverable(), version.sha256()));
        return drawings.firstSheets(newest.values());
    }

    private DeliverableState one(
            ItemId id, List<Version> versions, List<Mark> marks, Map<Sha256, Drawings.Sheet> thumbnails) {
        Deliverable deliverable = NotFound.unless(deliverables.find(id));
        return states(
                        List.of(deliverable),
                        versions,
                        deliverables.rounds(id),
                        releases.ofDeliverable(id),
                        marks,
                        thumbnails)
                .get(0);
    }

    private List<DeliverableState> states(
            List<Deliverable> all,
            List<Version> versions,
            List<Round> rounds,
            List<Releases.Release> released,
            List<Mark> marks,
            Map<Sha256, Drawings.Sheet> thumbnails) {
        Map<ItemId, List<Version>> byDeliverable =
                versions.stream().collect(Collectors.groupingBy(Version::deliverable));
        Map<?, Round> roundOf = rounds.stream().collect(Collectors.toMap(Round::version, Function.identity()));
        Map<ItemId, List<Releases.Release>> releasesOf =
                released.stream().collect(Collectors.groupingBy(Releases.Release::deliverable));
        Map<?, List<Mark>> marksOn = marks.stream().collect(Collectors.groupingBy(Mark::version));
        return all.stream()
                .map(deliverable -> {
                    List<Version> own = byDeliverable.getOrDefault(deliverable.id(), List.of());
                    return state(
                            deliverable,
                            own,
                            own.stream()
                                    .map(v -> roundOf.get(v.id()))
                                    .filter(Objects::nonNull)
                                    .toList(),
                            releasesOf.getOrDefault(deliverable.id(), List.of()),
                            own.stream()
                                    .flatMap(v -> marksOn.getOrDefault(v.id(), List.of()).stream())
                                    .toList(),
                            thumbnails);
                })
                .toList();
    }

    private DeliverableState state(
            Deliverable deliverable,
            List<Version> versions,
            List<Round> rounds,
            List<Releases.Release> released,
            List<Mark> marks,
            Map<Sha256, Drawings.Sheet> thumbnails) {
        Optional<Version> current =
                versions.stream().filter(v -> !v.draft()).max(Comparator.comparing(Version::number));
        Optional<Version> draft = versions.stream()
                .filter(Version::draft)
                .reduce((earlier, later) -> later)
                .filter(d -> current.isEmpty()
                        || d.createdAt()
                                .isAfter(Objects.requireNonNull(current.get().sentAt())));
        Optional<Round> round = current.flatMap(
                v -> rounds.stream().filter(r -> r.version().equals(v.id())).findFirst());
        TurnLedger ledger = ledger(deliverable, rounds, released);
        Instant now = clock.instant();
        return new DeliverableState(
                deliverable,
                versions,
                rounds,
                current,
                draft,
                round,
                ledger.holder(),
                ledger.heldSince(),
                agency.calendar().workingDaysHeld(ledger.heldSince(), now),
                CountMarks.forTeam(marks, deliverable.pane(), rounds),
                marks,
                released.stream()
                        .filter(r -> r.stands()
                                && current.isPresent()
                                && r.version().equals(current.get().id()))
                        .findFirst(),
                released,
                Optional.ofNullable(
                        versions.isEmpty()
                                ? null
                                : thumbnails.get(
                                        versions.get(versions.size() - 1).sha256())),
                now);
    }

    /** @param until a later version is sent, which answers them all */
    private static void clashes(Round round, Instant until, List<TurnLedger.Event> events) {
        round.clashes().stream()
                .filter(clash -> clash.openedAt().isBefore(until))
                .forEach(clash -> {
                    events.add(new TurnLedger.Event(
                            clash.withClient() ? TurnEvent.CLASH_WITH_CLIENT : TurnEvent.CLASH_WITH_US,
                            clash.openedAt()));
                    Optional.ofNullable(clash.settledAt())
                            .filter(until::isAfter)
                            .ifPresent(settled -> events.add(new TurnLedger.Event(
                                    clash.withClient() ? TurnEvent.CLASH_LEFT_CLIENT : TurnEvent.CLASH_LEFT_US,
                                    settled)));
                });
    }

    private static TurnLedger ledger(Deliverable deliverable, List<Round> rounds, List<Releases.Release> released) {
        List<TurnLedger.Event> events = new ArrayList<>();
        for (int i = 0; i < rounds.size(); i++) {
            clashes(rounds.get(i), i + 1 < rounds.size() ? rounds.get(i + 1).sentAt() : Instant.MAX, events);
        }
        rounds.forEach(round -> {
            events.add(new TurnLedger.Event(TurnEvent.VERSION_SENT, round.sentAt()));
            round.closed().ifPresent(closed -> events.add(new TurnLedger.Event(TurnEvent.ROUND_CLOSED, closed.at())));
        });
        released.forEach(release -> {
            events.add(new TurnLedger.Event(TurnEvent.RELEASED, release.at()));
            release.recall().ifPresent(recall -> events.add(new TurnLedger.Event(TurnEvent.RECALLED, recall.at())));
        });
        events.sort(Comparator.comparing(TurnLedger.Event::at));
        return new TurnLedger(deliverable.createdAt(), events);
    }
}
