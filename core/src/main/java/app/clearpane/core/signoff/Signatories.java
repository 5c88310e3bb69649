package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Rule;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Who signs one version, by which rule, and what their decisions come to (R3).
 *
 * <p>Standing aside takes a signatory out of the count. The lead voice must have signed too, whatever the rule, and
 * their sending back settles it.
 *
 * @param rule how many have to sign
 * @param inOrder the signatories; their order matters to {@link Rule.InOrder}
 * @param leadVoice the one who speaks for the client; one of the signatories
 */
public record Signatories(Rule rule, List<ContactId> inOrder, Optional<ContactId> leadVoice) {

    private static final List<String> NUMBERS =
            List.of("One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine");

    /** @throws IllegalArgumentException if one is named twice, or the lead voice is not among them */
    public Signatories {
        inOrder = List.copyOf(inOrder);
        if (new HashSet<>(inOrder).size() < inOrder.size()) {
            throw new IllegalArgumentException("a signatory is named twice in " + inOrder);
        }
        if (leadVoice.isPresent() && !inOrder.contains(leadVoice.get())) {
            throw new IllegalArgumentException("the lead voice is always among the signatories");
        }
    }

    /**
     * What these decisions come to.
     *
     * @param decisions the latest decision of each who decided; those of others than the signatories do not count
     */
    public Outcome outcome(Map<ContactId, Decision> decisions) {
        Tally tally = Tally.of(inOrder, decisions);
        if (leadVoice.map(decisions::get).filter(Decision.SEND_BACK::equals).isPresent()) {
            return Outcome.BACK;
        }
        if (tally.counted() == 0) {
            return Outcome.NOBODY_LEFT;
        }
        return settled(tally) == Outcome.SIGNED ? signed(tally, decisions) : settled(tally);
    }

    private Outcome settled(Tally tally) {
        if (rule instanceof Rule.Any) {
            return tally.yes() >= 1 ? Outcome.SIGNED : tally.no() == tally.counted() ? Outcome.BACK : Outcome.PENDING;
        }
        if (rule instanceof Rule.AtLeast atLeast) {
            return atLeast(atLeast.k(), tally);
        }
        return tally.no() > 0 ? Outcome.BACK : tally.yes() == tally.counted() ? Outcome.SIGNED : Outcome.PENDING;
    }

    private static Outcome atLeast(int k, Tally tally) {
        if (tally.yes() >= k) {
            return Outcome.SIGNED;
        }
        if (tally.counted() < k) {
            return tally.no() > 0 ? Outcome.BACK : Outcome.NOBODY_LEFT;
        }
        return tally.yes() + tally.undecided() < k ? Outcome.BACK : Outcome.PENDING;
    }

    private Outcome signed(Tally tally, Map<ContactId, Decision> decisions) {
        if (leadVoice.isPresent()
                && !Optional.ofNullable(decisions.get(leadVoice.get()))
                        .map(Decision::signs)
                        .orElse(false)) {
            return Outcome.PENDING;
        }
        return tally.withNotes() ? Outcome.SIGNED_WITH_NOTES : Outcome.SIGNED;
    }

    /**
     * What one more decision would bring (R3).
     *
     * @param outcome what the decisions come to with it
     * @param closes whether the round closes with it
     */
    public record Effect(Outcome outcome, boolean closes) {}

    /** What the decisions come to with one more on top of these, and whether the round closes with it. */
    public Effect with(ContactId signer, Decision decision, Map<ContactId, Decision> decisions) {
        Map<ContactId, Decision> after = new LinkedHashMap<>(decisions);
        after.put(signer, decision);
        Outcome outcome = outcome(after);
        return new Effect(outcome, outcome.agreed() || everyoneHasDecided(after));
    }

    /** Whether a sign-off of this signatory, on top of these decisions, would complete the rule. */
    public boolean completedBy(ContactId signer, Map<ContactId, Decision> decisions) {
        return with(signer, Decision.SIGN_OFF, decisions).outcome().agreed();
    }

    /** Those who did not decide yet, in order. */
    public List<ContactId> undecided(Map<ContactId, Decision> decisions) {
        return inOrder.stream().filter(one -> !decisions.containsKey(one)).toList();
    }

    /** Those who are asked to decide now: all who did not yet; in order, only the one whose place it is. */
    public List<ContactId> askedNow(Map<ContactId, Decision> decisions) {
        return rule instanceof Rule.InOrder ? nextInOrder(decisions).stream().toList() : undecided(decisions);
    }

    /** Whether everyone has decided or stood aside. */
    public boolean everyoneHasDecided(Map<ContactId, Decision> decisions) {
        return inOrder.stream().allMatch(decisions::containsKey);
    }

    /**
     * Whether it is this signatory's place to decide. By any rule but {@link Rule.InOrder} it always is; in order it is
     * the first undecided's, and the last who decided may still change it.
     */
    public boolean isPlaceOf(ContactId contact, Map<ContactId, Decision> decisions) {
        if (!inOrder.contains(contact)) {
            return false;
        }
        if (!(rule instanceof Rule.InOrder)) {
            return true;
        }
        int next = firstUndecided(decisions);
        int place = inOrder.indexOf(contact);
        return place == next || place == next - 1;
    }

    /** Whose place it is in order; by any other rule, and when all have decided, nobody's. */
    public Optional<ContactId> nextInOrder(Map<ContactId, Decision> decisions) {
        int next = firstUndecided(decisions);
        return rule instanceof Rule.InOrder && next < inOrder.size()
                ? Optional.of(inOrder.get(next))
                : Optional.empty();
    }

    /**
     * Whose decision somebody would make: in order, that of somebody they stand in for whose place it is; their own as
     * long as they did not decide; then that of somebody they stand in for who did not; their own again if there is
     * nobody.
     *
     * @param who one of the signatories or not
     * @param standsInFor those who are away and for whom they decide
     * @param decisions the latest decision of each who decided
     */
    public ContactId signer(ContactId who, List<ContactId> standsInFor, Map<ContactId, Decision> decisions) {
        Optional<ContactId> next =
                nextInOrder(decisions).filter(place -> !place.equals(who) && standsInFor.contains(place));
        if (next.isPresent()) {
            return next.get();
        }
        boolean own = inOrder.contains(who);
        if (own && !decisions.containsKey(who)) {
            return who;
        }
        List<ContactId> away = standsInFor.stream().filter(inOrder::contains).toList();
        return away.stream()
                .filter(one -> !decisions.containsKey(one))
                .findFirst()
                .orElseGet(() -> own || away.isEmpty() ? who : away.get(0));
    }

    /** Whether these people can meet the rule at all. */
    public boolean canBeMet() {
        return !inOrder.isEmpty() && !(rule instanceof Rule.AtLeast atLeast && atLeast.k() > inOrder.size());
    }

    /** Who signs, as a sentence without its end: "Two of Jasper, Mirela and Per, and always Ottoline". */
    public String inWords(Function<ContactId, String> name) {
        List<String> names = inOrder.stream().map(name).toList();
        List<String> others = inOrder.stream()
                .filter(one -> leadVoice.filter(one::equals).isEmpty())
                .map(name)
                .toList();
        String always =
                leadVoice.map(lead -> ", and always " + name.apply(lead)).orElse("");
        if (names.size() < 2) {
            return names.isEmpty() ? "Nobody" : names.get(0);
        }
        if (rule instanceof Rule.InOrder) {
            return String.join(", then ", names);
        }
        if (rule instanceof Rule.Any) {
            return others.size() < names.size()
                    ? name.apply(leadVoice.orElseThrow()) + ", whoever else signs"
                    : "Any one of " + listed(names);
        }
        if (rule instanceof Rule.AtLeast atLeast && atLeast.k() < names.size()) {
            return number(atLeast.k()) + " of " + listed(names) + always;
        }
        return listed(names);
    }

    private static String listed(List<String> names) {
        return String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
    }

    private static String number(int k) {
        return k <= NUMBERS.size() ? NUMBERS.get(k - 1) : String.valueOf(k);
    }

    /** What becomes of a round when its signatories or its rule are changed while it is open. */
    public Change to(Signatories after, Map<ContactId, Decision> decisions) {
        Map<ContactId, Decision> kept = new LinkedHashMap<>(decisions);
        kept.keySet().retainAll(after.inOrder);
        return new Change(
                after.inOrder.stream().filter(one -> !inOrder.contains(one)).toList(),
                inOrder.stream().filter(one -> !after.inOrder.contains(one)).toList(),
                outcome(decisions),
                after.outcome(kept),
                after.outcome(kept).agreed() || !after.inOrder.isEmpty() && after.everyoneHasDecided(kept));
    }

    /**
     * A change of who signs.
     *
     * @param added who is asked from now on
     * @param removed who is no longer asked; what they decided does not count any more, but stays in the Record
     * @param before what the decisions come to now
     * @param after what they come to then
     * @param closes whether the round closes with it
     */
    public record Change(
            List<ContactId> added, List<ContactId> removed, Outcome before, Outcome after, boolean closes) {
        public Change {
            added = List.copyOf(added);
            removed = List.copyOf(removed);
        }
    }

    private int firstUndecided(Map<ContactId, Decision> decisions) {
        int next = 0;
        while (next < inOrder.size() && decisions.containsKey(inOrder.get(next))) {
            next++;
        }
        return next;
    }

    private record Tally(int counted, int yes, int no, boolean withNotes) {
        static Tally of(List<ContactId> signatories, Map<ContactId, Decision> decisions) {
            List<Decision> said = signatories.stream()
                    .filter(decisions::containsKey)
                    .map(decisions::get)
                    .toList();
            int aside = count(said, Decision.STAND_ASIDE);
            int yes = (int) said.stream().filter(Decision::signs).count();
            return new Tally(
                    signatories.size() - aside,
                    yes,
                    count(said, Decision.SEND_BACK),
                    said.contains(Decision.SIGN_OFF_WITH_NOTES));
        }

        int undecided() {
            return counted - yes - no;
        }

        private static int count(List<Decision> said, Decision which) {
            return (int) said.stream().filter(which::equals).count();
        }
    }
}
