package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Allowance;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.money.TypedAmount;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.Signatories;
import app.clearpane.core.signoff.SigningTerms;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.deliverable.Readers;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes who signs a deliverable and by what rule, also while a round of it is open: then it first says what becomes
 * of the decisions made.
 */
@Component
public class ChangeSigning {
    private static final int MOST_DAYS = 250;
    private static final int MOST_ROUNDS = 50;
    private static final BigDecimal MOST_FEE = new BigDecimal("9999999999.99");
    private final Deliverables deliverables;
    private final SigningDefaults defaults;
    private final Seats seats;
    private final ReviewsFollow reviewsFollow;
    private final AskToSign ask;
    private final AuditLog audit;
    private final Clock clock;

    ChangeSigning(
            Deliverables deliverables,
            SigningDefaults defaults,
            Seats seats,
            ReviewsFollow reviewsFollow,
            AskToSign ask,
            AuditLog audit,
            Clock clock) {
        this.deliverables = deliverables;
        this.defaults = defaults;
        this.seats = seats;
        this.reviewsFollow = reviewsFollow;
        this.ask = ask;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * What is to be, as it comes from a page.
     *
     * @param signer who signs, in the page's order; missing or empty if everybody who may
     * @param order the contacts of all who may sign in the order wanted, with commas between; missing if the page's own
     *     order counts
     */
    public record SigningForm(
            String rule,
            @Nullable String least,
            @Nullable List<String> signer,
            @Nullable String order,
            String reviewDays,
            String rounds,
            String fee,
            int revision) {
        /** What a page left out is empty. */
        public SigningForm {
            rule = Objects.requireNonNullElse(rule, "");
            reviewDays = Objects.requireNonNullElse(reviewDays, "");
            rounds = Objects.requireNonNullElse(rounds, "");
            fee = Objects.requireNonNullElse(fee, "");
        }

        /** What it says, read. @throws Refused with everything that is wrong */
        public SigningTerms terms() {
            Input input = new Input();
            Optional<Integer> least = "AT_LEAST".equals(rule)
                    ? input.number("How many have to sign", this.least == null ? "" : this.least, 1, 100)
                    : Optional.of(1);
            Optional<Integer> days = input.number("The days to review it", reviewDays, 1, MOST_DAYS);
            Optional<Integer> included = input.number("The rounds included", rounds, 1, MOST_ROUNDS);
            BigDecimal more = fee(input, fee);
            input.require(
                    List.of("ALL", "ANY", "AT_LEAST", "IN_ORDER").contains(rule), "Choose how many have to sign.");
            input.allGood();
            return new SigningTerms(
                    Rule.of(rule, least.orElseThrow()),
                    days.orElseThrow(),
                    new Allowance(included.orElseThrow(), more));
        }

        private static BigDecimal fee(Input input, String typed) {
            Optional<BigDecimal> fee = TypedAmount.of(typed.isBlank() ? "0" : typed)
                    .map(read -> read.setScale(2, RoundingMode.HALF_UP))
                    .filter(read -> read.signum() >= 0 && read.compareTo(MOST_FEE) <= 0);
            if (fee.isPresent()) {
                return fee.get();
            }
            input.require(
                    false,
                    "The fee for a further round: “" + (typed.length() > 40 ? typed.substring(0, 40) + "…" : typed)
                            + "” should be an amount like 180.00, 0 for none.");
            return BigDecimal.ZERO;
        }

        /** Those who sign, in the order wanted; empty if everybody who may. */
        List<ContactId> signers(List<SeatRow> may) {
            List<String> ticked = signer == null ? List.of() : signer;
            List<String> wanted = order == null || order.isBlank()
                    ? List.of()
                    : Arrays.stream(order.split(",")).map(String::strip).toList();
            List<ContactId> those = may.stream()
                    .map(SeatRow::contact)
                    .filter(contact -> ticked.contains(contact.toString()))
                    .sorted(java.util.Comparator.comparingInt(contact -> wanted.contains(contact.toString())
                            ? wanted.indexOf(contact.toString())
                            : Integer.MAX_VALUE))
                    .toList();
            return those.size() == may.size() && !"IN_ORDER".equals(rule) ? List.of() : those;
        }
    }

    /**
     * What a change would mean.
     *
     * @param open the round it would change; empty if none is open
     * @param sentences what becomes of the decisions made
     */
    public record Meaning(
            Deliverable wanted,
            Optional<Round> open,
            Signatories panel,
            List<SeatRow> signers,
            Optional<Signatories.Change> change,
            List<String> sentences) {}

    /** Works out what a change would mean. @throws Refused if it cannot be */
    @Transactional(readOnly = true)
    public Meaning meaning(ItemId id, SigningForm form) {
        Deliverable deliverable = NotFound.unless(deliverables.find(id));
        SigningTerms terms = form.terms();
        List<SeatRow> may = seats.ofPane(deliverable.pane()).stream()
                .filter(seat -> seat.role().maySign())
                .toList();
        Deliverable wanted = new Deliverable(
                id,
                deliverable.project(),
                deliverable.pane(),
                deliverable.paneName(),
                deliverable.name(),
                deliverable.about(),
                terms.rule(),
                form.signers(may),
                terms.reviewDays(),
                terms.allowance(),
                deliverable.extra(),
                deliverable.createdAt(),
                form.revision());
        List<SeatRow> signers = Readers.signers(wanted, may);
        Signatories panel = Readers.panel(terms.rule(), signers);
        if (!signers.isEmpty() && !panel.canBeMet()) {
            throw Refused.because("Nobody could ever meet this: more have to sign than are asked (" + signers.size()
                    + "). Nothing was changed.");
        }
        Optional<Round> open =
                deliverables.rounds(id).stream().filter(Round::open).findFirst();
        Optional<Signatories.Change> change = open.map(round -> round.panel().to(panel, round.decisions()));
        return new Meaning(
                wanted,
                open,
                panel,
                signers,
                change,
                change.map(found -> sentences(open.orElseThrow(), found, signers))
                        .orElse(List.of()));
    }

    private static List<String> sentences(Round round, Signatories.Change change, List<SeatRow> signers) {
        Map<ContactId, String> names = new HashMap<>();
        round.signatories().forEach(one -> names.put(one.contact(), one.name()));
        signers.forEach(seat -> names.put(seat.contact(), seat.name()));
        List<String> sentences = new java.util.ArrayList<>();
        change.removed()
                .forEach(gone -> sentences.add(names.get(gone)
                        + (round.saidBy(gone).isPresent()
                                ? " is no longer asked; “"
                                        + DecisionWords.alone(
                                                round.saidBy(gone).orElseThrow().decision())
                                        + "” does not count any more, but stays in the Record."
                                : " is no longer asked.")));
        change.added()
                .forEach(one -> sentences.add(
                        names.get(one) + " is asked from now on, and gets a mail when it is their turn."));
        sentences.add(
                change.before() == change.after()
                        ? "What was decided so far comes to the same: " + DecisionWords.outcome(change.after()) + "."
                        : "What was decided so far came to “" + DecisionWords.outcome(change.before())
                                + "”; it would come to “" + DecisionWords.outcome(change.after()) + "”.");
        if (change.closes()) {
            sentences.add("The round closes with it: " + DecisionWords.outcome(change.after()) + ".");
        }
        return sentences;
    }

    /** Makes the change. */
    @Transactional
    public void make(ItemId id, SigningForm form, Actor by) {
        deliverables.lock(id);
        Meaning meaning = meaning(id, form);
        Deliverable wanted = meaning.wanted();
        deliverables.change(wanted);
        Map<ContactId, String> names =
                meaning.signers().stream().collect(Collectors.toMap(SeatRow::contact, SeatRow::name));
        audit.append(
                wanted.project(),
                id.value(),
                new DecisionActs.SigningChanged(
                        by,
                        wanted.name(),
                        meaning.panel().inWords(names::get),
                        wanted.rule().keptAs(),
                        wanted.reviewDays(),
                        wanted.allowance().rounds(),
                        wanted.allowance().fee().toPlainString(),
                        meaning.open().map(round -> meaning.sentences())));
        meaning.open().ifPresent(round -> apply(meaning, round, by));
    }

    private void apply(Meaning meaning, Round round, Actor by) {
        Deliverable wanted = meaning.wanted();
        Signatories.Change change = meaning.change().orElseThrow();
        deliverables.changePanel(
                round.id(),
                wanted.rule(),
                meaning.signers().stream()
                        .map(seat -> new Round.Signatory(seat.contact(), seat.name(), seat.leadVoice()))
                        .toList());
        if (change.closes()) {
            deliverables.close(round.id(), change.after(), by, "who signs was changed", clock.instant());
            reviewsFollow.closed(
                    wanted.project(),
                    wanted.id(),
                    round.number(),
                    change.after().agreed(),
                    by);
            audit.append(
                    wanted.project(),
                    wanted.id().value(),
                    new DecisionActs.RoundClosed(
                            by,
                            wanted.name(),
                            round.number(),
                            Optional.empty(),
                            change.after(),
                            Optional.of("who signs was changed")));
            return;
        }
        Version version = deliverables.version(round.version()).orElseThrow();
        Round after = deliverables.round(version.id()).orElseThrow();
        after.askedNow().stream()
                .filter(contact -> !round.askedNow().contains(contact))
                .forEach(contact -> ask.now(
                        new AskToSign.What(wanted, version, after),
                        contact,
                        List.of("You are asked to sign " + wanted.name() + ", " + version.called() + ".")));
    }

    /** Sets how signing usually goes in a project; deliverables that are there stay as they are. */
    @Transactional
    public void usual(ProjectId project, SigningForm form, List<String> checklist, Actor by) {
        SigningTerms terms = form.terms();
        defaults.set(new SigningDefaults.Usual(project, terms, checklist, form.revision()));
        audit.append(
                project,
                project.value(),
                new DecisionActs.SigningUsual(
                        by,
                        "How signing goes here",
                        terms.rule().keptAs(),
                        terms.reviewDays(),
                        terms.allowance().rounds(),
                        terms.allowance().fee().toPlainString(),
                        checklist));
    }
}
