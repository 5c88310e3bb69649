package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.reminders.Silence;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.project.Projects;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
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
import org.springframework.transaction.support.TransactionTemplate;

/** Where it was agreed in writing, counts the silence of those who were reminded and said nothing as a yes (R4). */
@Component
public class CountSilence implements Recurring {
    private static final int LONGEST = 400;
    private final SilenceTerms terms;
    private final Reminders reminders;
    private final Deliverables deliverables;
    private final WeighDecision weigh;
    private final KeepDecision keep;
    private final Projects projects;
    private final WriteToTeam tellManager;
    private final AuditLog audit;
    private final TheAgency agency;
    private final TransactionTemplate transaction;

    CountSilence(
            SilenceTerms terms,
            Reminders reminders,
            Deliverables deliverables,
            WeighDecision weigh,
            KeepDecision keep,
            Projects projects,
            WriteToTeam tellManager,
            AuditLog audit,
            TheAgency agency,
            TransactionTemplate transaction) {
        this.terms = terms;
        this.reminders = reminders;
        this.deliverables = deliverables;
        this.weigh = weigh;
        this.keep = keep;
        this.projects = projects;
        this.tellManager = tellManager;
        this.audit = audit;
        this.agency = agency;
        this.transaction = transaction;
    }

    /** What was agreed in a project; empty where silence is no answer. */
    public Optional<SilenceTerms.Terms> termsOf(ProjectId project) {
        return terms.termsOf(project);
    }

    /**
     * Keeps what was agreed. @param days blank where silence is no answer @param agreedWhere where it stands in writing
     */
    @Transactional
    public void agree(ProjectId project, String days, String agreedWhere, Actor by) {
        String name = NotFound.unless(projects.find(project)).fullName();
        Input input = new Input();
        String where = input.text("Where it was agreed", agreedWhere, LONGEST);
        Optional<Integer> counted =
                days.isBlank() ? Optional.empty() : input.number("The working days", days, 1, Silence.MOST_DAYS);
        input.require(
                days.isBlank() || !where.isEmpty(),
                "Say where it was agreed in writing; without that, silence is no answer.");
        input.allGood();
        terms.set(project, counted.map(number -> new SilenceTerms.Terms(new Silence(number), where, by, agency.now())));
        audit.append(
                project,
                project.value(),
                new DecisionActs.SilenceSet(
                        by, name, counted.map(String::valueOf).orElse("off"), where));
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("silence", "${clearpane.silence}", this::goRound);
    }

    /** Every hour. */
    public void goRound() {
        countAt(agency.now());
    }

    /** Whose silence has counted at an instant. */
    public void countAt(Instant now) {
        terms.all().forEach((project, agreed) -> deliverables.roundsOf(project).stream()
                .filter(Round::open)
                .filter(round -> !round.dueAt().isAfter(now))
                .forEach(round -> transaction.executeWithoutResult(status -> count(round, agreed, now))));
    }

    private void count(Round seen, SilenceTerms.Terms agreed, Instant now) {
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
        tellManager.tell(
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
