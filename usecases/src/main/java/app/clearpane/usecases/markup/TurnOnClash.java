package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.markup.ClashTurns;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps whose turn it is while wishes clash on the version sent last: whoever speaks for the client is to rule and is
 * told so; where nobody does, we are (T1).
 */
@Component
class TurnOnClash {
    private final Deliverables deliverables;
    private final Markups markups;
    private final Clashes clashes;
    private final ClashTurns turns;
    private final TheAgency agency;
    private final Words words;
    private final WriteToContact toContact;

    TurnOnClash(
            Deliverables deliverables,
            Markups markups,
            Clashes clashes,
            ClashTurns turns,
            TheAgency agency,
            Words words,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.deliverables = deliverables;
        this.markups = markups;
        this.clashes = clashes;
        this.turns = turns;
        this.agency = agency;
        this.words = words;
    }

    /** Within whatever moved the marks: both are kept or neither is. */
    @EventListener
    public void moved(MarksMoved event) {
        if (!event.forTeam()) {
            deliverables.find(event.deliverable()).ifPresent(deliverable -> latest(deliverable.id())
                    .ifPresent(version ->
                            deliverables.round(version.id()).ifPresent(round -> follow(deliverable, version, round))));
        }
    }

    private Optional<Version> latest(ItemId deliverable) {
        return deliverables.versions(deliverable).stream()
                .filter(version -> !version.draft())
                .max(Comparator.comparing(Version::number));
    }

    private void follow(Deliverable deliverable, Version version, Round round) {
        Optional<SeatRow> leadVoice = clashes.leadVoice(deliverable.pane());
        Set<Clash> standing =
                clashes.openOn(version, deliverable.pane(), markups.withoutThreads(deliverable.id())).stream()
                        .map(Clashes.Open::clash)
                        .collect(Collectors.toSet());
        List<Round.ClashTurn> waiting =
                round.clashes().stream().filter(Round.ClashTurn::waits).toList();
        Instant now = agency.now();
        waiting.stream()
                .filter(turn -> !standing.contains(turn.clash()) || turn.withClient() != leadVoice.isPresent())
                .forEach(turn -> turns.settle(turn, now));
        Set<Clash> known = waiting.stream()
                .filter(turn -> turn.withClient() == leadVoice.isPresent())
                .map(Round.ClashTurn::clash)
                .collect(Collectors.toSet());
        List<Clash> arisen =
                standing.stream().filter(clash -> !known.contains(clash)).toList();
        arisen.forEach(clash -> turns.open(round.id(), clash, leadVoice.isPresent(), now));
        if (known.isEmpty() && !arisen.isEmpty()) {
            leadVoice.ifPresent(seat -> write(seat, deliverable, version, arisen.size()));
        }
    }

    private void write(SeatRow leadVoice, Deliverable deliverable, Version version, int count) {
        toContact.write(
                leadVoice.contact(),
                new WriteToContact.Note(
                        "Wishes that clash: " + deliverable.name() + ", " + version.called(),
                        List.of("Two people want different things at one place of “" + deliverable.name() + "”"
                                + (count > 1 ? ", at " + words.count(count, "place", "places") : "")
                                + ". You speak for everybody, so please say which of them we follow."),
                        "See both and settle it",
                        "/c/panes/" + deliverable.pane() + "/versions/" + version.id()));
    }
}
