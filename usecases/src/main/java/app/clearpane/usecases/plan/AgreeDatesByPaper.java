package app.clearpane.usecases.plan;

import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.papers.PaperSettled;
import app.clearpane.usecases.shell.Words;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Agrees the dates once everybody who was asked has agreed to their paper. */
@Component
class AgreeDatesByPaper {
    private final Agreements agreements;
    private final AgreeDates agreeDates;
    private final Words words;

    AgreeDatesByPaper(Agreements agreements, AgreeDates agreeDates, Words words) {
        this.agreements = agreements;
        this.agreeDates = agreeDates;
        this.words = words;
    }

    /** Once everybody asked has agreed, the plan that was put before them counts. */
    @EventListener
    public void settled(PaperSettled event) {
        agreements
                .asked(event.paper())
                .ifPresent(
                        asked -> agreeDates.asAsked(event.project(), asked, words.and(event.recipients()), event.by()));
    }
}
