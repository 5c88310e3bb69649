package app.clearpane.usecases.deliverable;

import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.exposure.BroughtBack;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What was deleted half drawn and comes back is drawn on: at once, and by a round that finds what came back while its
 * drawing was just being ended.
 */
@Component
class DrawOn implements Recurring {
    private final Drawings drawings;
    private final Jobs jobs;

    DrawOn(Drawings drawings, Jobs jobs) {
        this.drawings = drawings;
        this.jobs = jobs;
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("draw-on", "30 * * * * *", this::drawOn);
    }

    void drawOn() {
        drawings.left(DrawPages.NAME).forEach(source -> jobs.enqueue(DrawPages.NAME, source.hex()));
    }

    @EventListener
    void broughtBack(BroughtBack event) {
        drawings.waiting(event.project()).forEach(source -> jobs.enqueue(DrawPages.NAME, source.hex()));
    }
}
