package app.clearpane.usecases.signoff;

import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** Where it was agreed in writing, counts the silence of those who were reminded and said nothing as a yes (R4). */
@Component
public class CountSilence implements Recurring {
    private final SilenceTerms terms;
    private final Deliverables deliverables;
    private final TheAgency agency;
    private final SignBySilence signBySilence;

    CountSilence(SilenceTerms terms, Deliverables deliverables, TheAgency agency, SignBySilence signBySilence) {
        this.signBySilence = signBySilence;
        this.terms = terms;
        this.deliverables = deliverables;
        this.agency = agency;
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
                .forEach(round -> signBySilence.sign(round, agreed, now)));
    }
}
