package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One cycle of review of one version.
 *
 * @param said every decision in the order made, later ones of the same person replacing earlier
 * @param clashes of the marks on its version, in the order they arose
 */
public record Round(
        RoundId id,
        VersionId version,
        int number,
        Instant sentAt,
        Instant dueAt,
        Rule rule,
        Standing standing,
        List<Signatory> signatories,
        List<Said> said,
        List<ClashTurn> clashes) {

    /** A round that begins. */
    public Round(
            RoundId id,
            VersionId version,
            int number,
            Instant sentAt,
            Instant dueAt,
            Rule rule,
            List<Signatory> signatories) {
        this(id, version, number, sentAt, dueAt, rule, new Open(), signatories, List.of(), List.of());
    }

    /**
     * Since when two marks on its version clash, and until when.
     *
     * @param withClient whether somebody speaks for the client and is to rule; otherwise we are
     * @param settledAt null while it waits
     */
    public record ClashTurn(
            UUID id,
            Clash clash,
            boolean withClient,
            Instant openedAt,
            @Nullable Instant settledAt) {
        /** Whether it waits for a ruling. */
        public boolean waits() {
            return settledAt == null;
        }
    }

    /** Somebody who is asked to sign. */
    public record Signatory(ContactId contact, String name, boolean leadVoice) {}

    /**
     * A decision that was made.
     *
     * @param batch what it was made together with; null if it was made alone
     * @param standIn who made it in place of the signatory; null if they made it themselves
     * @param bySilence whether they said nothing, and that counted as was agreed
     * @param drawn the signature as they drew it, as text; null if they drew none
     */
    public record Said(
            ContactId contact,
            String name,
            Decision decision,
            String sentence,
            String typedName,
            Sha256 sha256,
            Instant at,
            @Nullable UUID batch,
            @Nullable ContactId standIn,
            @Nullable String standInName,
            boolean bySilence,
            @Nullable String drawn) {
        /** The signature that was drawn beside the name; empty if none was. */
        public Optional<DrawnSignature> signature() {
            return DrawnSignature.read(drawn);
        }

        /** Who decided, and for whom: "Ottoline", "Mirela, standing in for Ottoline", or "Jasper, by silence". */
        public String by() {
            return bySilence
                    ? name + ", by silence"
                    : standInName == null ? name : standInName + ", standing in for " + name;
        }
    }

    /** How many clashes wait for a ruling by the client's side, or by ours. */
    public int clashesWith(boolean client) {
        return (int) clashes.stream()
                .filter(clash -> clash.waits() && clash.withClient() == client)
                .count();
    }

    /** Whether decisions are still taken, and if not, what it came to. */
    public sealed interface Standing {}

    /** Decisions are taken. */
    public record Open() implements Standing {}

    /** It is over. @param by whoever decided last, or closed it by hand @param reason why it was closed by hand */
    public record Closed(Instant at, Actor by, Optional<String> reason, Outcome outcome) implements Standing {}

    /** Whether it is still open. */
    public boolean open() {
        return standing instanceof Open;
    }

    /** When and how it was closed; empty while it is open. */
    public Optional<Closed> closed() {
        return standing instanceof Closed closed ? Optional.of(closed) : Optional.empty();
    }

    /** The signatories and the rule as the core knows them. */
    public Signatories panel() {
        return new Signatories(
                rule,
                signatories.stream().map(Signatory::contact).toList(),
                signatories.stream()
                        .filter(Signatory::leadVoice)
                        .map(Signatory::contact)
                        .findFirst());
    }

    /** The latest decision of each. */
    public Map<ContactId, Decision> decisions() {
        Map<ContactId, Decision> latest = new LinkedHashMap<>();
        said.forEach(one -> latest.put(one.contact(), one.decision()));
        return latest;
    }

    /** Who signs, as a sentence without its end. */
    public String whoSigns() {
        return panel().inWords(this::nameOf);
    }

    /** What one of the signatories is called. */
    public String nameOf(ContactId signatory) {
        return signatories.stream()
                .filter(one -> one.contact().equals(signatory))
                .map(Signatory::name)
                .findFirst()
                .orElseThrow();
    }

    /** Those who are asked to decide now; nobody once it is closed. */
    public List<ContactId> askedNow() {
        return open() ? panel().askedNow(decisions()) : List.of();
    }

    /** The names of those whose latest decision is this one. */
    public List<String> whoDecided(Decision decision) {
        Map<ContactId, Decision> latest = decisions();
        return signatories.stream()
                .filter(one -> latest.get(one.contact()) == decision)
                .map(Signatory::name)
                .toList();
    }

    /** The latest that one person said. */
    public Optional<Said> saidBy(ContactId contact) {
        return said.stream().filter(one -> one.contact().equals(contact)).reduce((earlier, later) -> later);
    }

    /** The latest that one person said, for themselves or standing in for somebody. */
    public Optional<Said> madeBy(ContactId contact) {
        return said.stream()
                .filter(one -> contact.equals(one.standIn() == null ? one.contact() : one.standIn()))
                .reduce((earlier, later) -> later);
    }

    /** Until when what somebody said can be taken back, as far as the round tells; empty if it cannot any more. */
    public Optional<Instant> mayTakeBackUntil(ContactId contact, Instant now) {
        return TakingBack.until(
                contact,
                said.stream()
                        .map(one -> new TakingBack.Made(
                                one.contact(), one.standIn() == null ? one.contact() : one.standIn(), one.at()))
                        .toList(),
                rule instanceof Rule.InOrder,
                closed().map(Closed::at),
                now);
    }

    /** What it comes to so far, or what it came to. */
    public Outcome soFar() {
        return closed().map(Closed::outcome).orElseGet(() -> panel().outcome(decisions()));
    }
}
