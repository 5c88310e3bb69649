package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.reminders.Silence;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Signs for those whose silence has counted on one round. */
@Component
class SignBySilence {
    private final Deliverables deliverables;
    private final Reminders reminders;
    private final WeighDecision weigh;
    private final KeepDecision keep;
    private final WriteToTeam toTeam;
    private final TheAgency agency;

    SignBySilence(
            Deliverables deliverables,
            Reminders reminders,
            WeighDecision weigh,
            KeepDecision keep,
            WriteToTeam toTeam,
            TheAgency agency) {
        this.deliverables = deliverables;
        this.reminders = reminders;
        this.weigh = weigh;
        this.keep = keep;
        this.toTeam = toTeam;
        this.agency = agency;
    }

    @Transactional
    void sign(Round seen, SilenceTerms.Terms agreed, Instant now) {
        Version version = deliverables.version(seen.version()).orElseThrow();
        deliverables.lock(version.deliverable());
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        for (Optional<Round> round = open(version); round.isPresent(); ) {
            Round latest = round.get();
            Optional<WeighDecision.Ready> ready =
                    agreed.silence().agreed(asked(latest, version.deliverable()), now, agency.calendar()).stream()
                            .flatMap(contact -> weigh.silence(deliverable, version, latest, contact).stream())
                            .findFirst();
            ready.ifPresent(one -> {
                keep.silence(one);
                write(one, agreed);
            });
            round = ready.isPresent() ? open(version) : Optional.empty();
        }
    }

    private Optional<Round> open(Version version) {
        return deliverables.round(version.id()).filter(Round::open);
    }

    private Silence.Asked asked(Round round, ItemId deliverable) {
        Map<ContactId, Instant> decidedAt = new HashMap<>();
        round.said().forEach(said -> decidedAt.put(said.contact(), said.at()));
        Set<ContactId> reminded = reminders.delivered(List.of(deliverable.value())).stream()
                .filter(one -> one.at().isAfter(round.sentAt()))
                .map(Reminders.Delivered::contact)
                .collect(Collectors.toSet());
        return new Silence.Asked(round.panel(), round.dueAt(), round.decisions(), decidedAt, reminded);
    }

    private void write(WeighDecision.Ready ready, SilenceTerms.Terms agreed) {
        String what = ready.deliverable().name() + ", " + ready.version().called();
        toTeam.tell(
                ready.deliverable().project(),
                "Signed off by silence: " + what,
                List.of(ready.signerName() + " said nothing about " + what
                        + ", was reminded, and it is past due by more than was agreed. That counts as a sign-off, "
                        + "as it stands in “"
                        + agreed.agreedWhere() + "”."),
                new WriteToTeam.Leads(
                        "See " + ready.deliverable().name(),
                        "/t/deliverables/" + ready.deliverable().id()));
    }
}
