package app.clearpane.usecases.deliverable;

import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.exposure.BroughtBack;
import app.clearpane.usecases.jobs.Jobs;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What was deleted half drawn and comes back is drawn on. */
@Component
class DrawOn {
    private final Drawings drawings;
    private final Jobs jobs;

    DrawOn(Drawings drawings, Jobs jobs) {
        this.drawings = drawings;
        this.jobs = jobs;
    }

    @EventListener
    void broughtBack(BroughtBack event) {
        drawings.waiting(event.project()).forEach(source -> jobs.enqueue(DrawPages.NAME, source.hex()));
    }
}
