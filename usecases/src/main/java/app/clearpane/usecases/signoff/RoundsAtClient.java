package app.clearpane.usecases.signoff;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.exposure.WaitsAtClient;
import app.clearpane.usecases.shell.Words;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Deliverables that somebody is asked to sign. */
@Component
class RoundsAtClient implements WaitsAtClient {
    private final Deliverables deliverables;
    private final CloseRound closeRound;
    private final Words words;

    RoundsAtClient(Deliverables deliverables, CloseRound closeRound, Words words) {
        this.deliverables = deliverables;
        this.closeRound = closeRound;
        this.words = words;
    }

    @Override
    public List<Waiting> in(ProjectId project, Optional<PaneId> pane) {
        Map<ItemId, Deliverable> byId = deliverables.ofProject(project).stream()
                .collect(Collectors.toMap(Deliverable::id, Function.identity()));
        Map<?, Version> versions =
                deliverables.versionsOf(project).stream().collect(Collectors.toMap(Version::id, Function.identity()));
        return deliverables.roundsOf(project).stream()
                .filter(Round::open)
                .map(round -> new Open(round, Objects.requireNonNull(versions.get(round.version()))))
                .filter(one ->
                        one.version() != null && byId.containsKey(one.version().deliverable()))
                .filter(one -> pane.isEmpty()
                        || Objects.requireNonNull(byId.get(one.version().deliverable()))
                                .pane()
                                .equals(pane.get()))
                .map(one -> new Waiting(
                        one.version().deliverable(),
                        Objects.requireNonNull(byId.get(one.version().deliverable()))
                                        .name() + ", " + one.version().called(),
                        words.count(one.round().signatories().size(), "person", "people"),
                        Optional.empty()))
                .toList();
    }

    private record Open(Round round, Version version) {}

    @Override
    public void bringBack(ItemId id, String because, Actor by) {
        ProjectId project = deliverables.find(id).orElseThrow().project();
        Set<VersionId> versions = deliverables.versionsOf(project).stream()
                .filter(version -> version.deliverable().equals(id))
                .map(Version::id)
                .collect(Collectors.toSet());
        deliverables.roundsOf(project).stream()
                .filter(round -> round.open() && versions.contains(round.version()))
                .forEach(round -> closeRound.byTeam(round.version(), because, by));
    }
}
