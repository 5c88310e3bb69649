package app.clearpane.usecases.markup;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Clash;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.markup.ClashTurns;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
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
    private final People people;
    private final LinkKeys keys;
    private final WriteMail mail;
    private final TheAgency agency;
    private final Words words;
    private final Clock clock;

    TurnOnClash(
            Deliverables deliverables,
            Markups markups,
            Clashes clashes,
            ClashTurns turns,
            People people,
            LinkKeys keys,
            WriteMail mail,
            TheAgency agency,
            Words words,
            Clock clock) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.clashes = clashes;
        this.turns = turns;
        this.people = people;
        this.keys = keys;
        this.mail = mail;
        this.agency = agency;
        this.words = words;
        this.clock = clock;
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

    private Optional<VersionRow> latest(ItemId deliverable) {
        return deliverables.versions(deliverable).stream()
                .filter(version -> !version.draft())
                .max(Comparator.comparing(VersionRow::number));
    }

    private void follow(Deliverable deliverable, VersionRow version, Round round) {
        Optional<SeatRow> leadVoice = clashes.leadVoice(deliverable.pane());
        Set<Clash> standing = clashes.of(version, deliverable.pane(), markups.withoutThreads(deliverable.id())).stream()
                .map(Clashes.Open::clash)
                .collect(Collectors.toSet());
        List<Round.ClashTurn> waiting =
                round.clashes().stream().filter(Round.ClashTurn::waits).toList();
        Instant now = clock.instant();
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

    private void write(SeatRow leadVoice, Deliverable deliverable, VersionRow version, int count) {
        people.contact(leadVoice.contact())
                .ifPresent(contact -> mail.send(
                        contact,
                        new Letter(
                                "Wishes that clash: " + deliverable.name() + ", " + version.called(),
                                List.of("Two people want different things at one place of “" + deliverable.name() + "”"
                                        + (count > 1 ? ", at " + words.count(count, "place", "places") : "")
                                        + ". You speak for everybody, so please say which of them we follow."),
                                "See both and settle it",
                                keys.forContact(
                                        contact.id(), "/c/panes/" + deliverable.pane() + "/versions/" + version.id()),
                                agency.get().name())));
    }
}
