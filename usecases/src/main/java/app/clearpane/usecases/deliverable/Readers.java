package app.clearpane.usecases.deliverable;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.Signatories;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Who would get a version if it were sent now, and what stands in the way. */
@Component
public class Readers {
    private final Panes panes;
    private final Seats seats;
    private final Clock clock;

    Readers(Panes panes, Seats seats, Clock clock) {
        this.panes = panes;
        this.seats = seats;
        this.clock = clock;
    }

    /**
     * Those who would get it.
     *
     * @param signatories asked to sign, the lead voice first
     * @param others who see it and are told
     * @param obstacles sentences; empty if it may be sent
     */
    public record Audience(String pane, List<SeatRow> signatories, List<SeatRow> others, List<String> obstacles) {
        /** How many get a mail. */
        public int size() {
            return signatories.size() + others.size();
        }
    }

    /**
     * Who signs a deliverable, for the page that changes it.
     *
     * @param sentence without its end
     * @param choices everybody who may sign at its pane, those who do first and in their order
     */
    public record Signing(String sentence, List<Choice> choices) {
        /** The contacts in the order of the page. */
        public String order() {
            return String.join(
                    ",",
                    choices.stream()
                            .map(choice -> choice.seat().contact().toString())
                            .toList());
        }
    }

    /** Somebody who may sign. @param signs whether they are asked */
    public record Choice(SeatRow seat, boolean signs) {}

    /** Who signs a deliverable. */
    public static Signing signing(Deliverable deliverable, List<SeatRow> seated) {
        List<SeatRow> signers = signers(deliverable, seated);
        List<Choice> choices = new ArrayList<>(
                signers.stream().map(seat -> new Choice(seat, true)).toList());
        seated.stream()
                .filter(seat -> seat.role().maySign() && seat.state() != SeatState.ENDED && !signers.contains(seat))
                .forEach(seat -> choices.add(new Choice(seat, false)));
        Map<ContactId, String> names = signers.stream().collect(Collectors.toMap(SeatRow::contact, SeatRow::name));
        return new Signing(panel(deliverable.rule(), signers).inWords(names::get), choices);
    }

    /**
     * The audience of a deliverable's deciding pane. @param rounds all it went through, whose signatories see it by
     * name
     */
    public Audience audienceOf(Deliverable deliverable, List<Round> rounds) {
        return audienceOf(deliverable, rounds, seats.ofPane(deliverable.pane()));
    }

    /** The same, with the seats of its pane. */
    public Audience audienceOf(Deliverable deliverable, List<Round> rounds, List<SeatRow> seated) {
        List<SeatRow> signatories = signers(deliverable, seated);
        Set<ContactId> byName = Stream.concat(
                        signatories.stream().map(SeatRow::contact),
                        rounds.stream()
                                .flatMap(round -> round.signatories().stream())
                                .map(Round.Signatory::contact))
                .collect(Collectors.toSet());
        Item addressed = new Item(
                deliverable.id(), ContentKind.DELIVERABLES, deliverable.name(), List.of(), Item.State.THERE, byName);
        Pane pane = panes
                .withSettings(Map.of(deliverable.project(), List.of(addressed)))
                .panes()
                .getOrDefault(deliverable.project(), List.of())
                .stream()
                .filter(one -> one.id().equals(deliverable.pane()))
                .findFirst()
                .orElseThrow();
        List<SeatRow> others = seated.stream()
                .filter(seat -> !signatories.contains(seat)
                        && verdict(addressed, pane, seat).visible())
                .toList();
        return new Audience(pane.name(), signatories, others, obstacles(pane, addressed, deliverable, signatories));
    }

    /**
     * Those who were named, in their order, as far as they may sign; everybody who may, if nobody was named. The lead
     * voice is always among them (R3).
     */
    public static List<SeatRow> signers(Deliverable deliverable, List<SeatRow> seated) {
        List<SeatRow> may = seated.stream()
                .filter(seat -> seat.role().maySign() && seat.state() != SeatState.ENDED)
                .toList();
        List<SeatRow> named = new ArrayList<>();
        deliverable.signers().forEach(contact -> may.stream()
                .filter(seat -> seat.contact().equals(contact))
                .forEach(named::add));
        may.stream().filter(seat -> seat.leadVoice() && !named.contains(seat)).forEach(named::add);
        if (deliverable.signers().isEmpty() || named.isEmpty()) {
            return deliverable.rule() instanceof Rule.InOrder
                    ? may.stream()
                            .sorted(Comparator.comparing(SeatRow::leadVoice))
                            .toList()
                    : may;
        }
        return named;
    }

    /** The signatories and the rule as the core knows them. */
    public static Signatories panel(Rule rule, List<SeatRow> signers) {
        return new Signatories(
                rule,
                signers.stream().map(SeatRow::contact).toList(),
                signers.stream()
                        .filter(SeatRow::leadVoice)
                        .map(SeatRow::contact)
                        .findFirst());
    }

    private List<String> obstacles(Pane pane, Item item, Deliverable deliverable, List<SeatRow> signatories) {
        if (pane.publishedAt().isEmpty()) {
            return List.of("The pane “" + pane.name()
                    + "” is not published yet, so nobody could see it. Publish the pane first.");
        }
        if (signatories.isEmpty()) {
            return List.of(
                    "Nobody at “" + pane.name() + "” is asked to sign. Give somebody the seat of a signatory first.");
        }
        if (deliverable.rule() instanceof Rule.AtLeast atLeast
                && !panel(atLeast, signatories).canBeMet()) {
            return List.of("At least " + atLeast.k() + " have to sign, but only " + signatories.size()
                    + " may. Change who signs first.");
        }
        Verdict verdict = verdict(item, pane, signatories.get(0));
        Optional<String> held = verdict.source().filter(source -> Set.of(Reason.HELD_BACK, Reason.HELD_BACK_ABOVE)
                .contains(verdict.reason()));
        return held.map(source -> "“" + source + "” is held back by "
                        + verdict.setting().orElseThrow().by().name()
                        + ", so it cannot be sent. Show it on the Panes page first.")
                .map(List::of)
                .orElse(
                        verdict.reason() == Reason.PANE_EXPIRED
                                ? List.of("The pane “" + pane.name() + "” is closed. Give it a later last day first.")
                                : List.of());
    }

    /** As if the seat were taken: the mail itself lets its reader in. */
    private Verdict verdict(Item item, Pane pane, SeatRow seat) {
        Seat accepted =
                new Seat(seat.id(), seat.pane(), seat.contact(), seat.role(), SeatState.ACCEPTED, seat.leadVoice());
        return Visibility.decide(item, pane, Optional.of(accepted), clock.instant());
    }
}
