package app.clearpane.web;

import app.clearpane.store.agency.WaysIn;
import app.clearpane.usecases.House;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the terminal where the house is, once it answers. The demo says so itself, with everybody's links. */
@Component
@Profile("!demo")
class SayWhere {
    private final House house;

    /**
     * @throws IllegalStateException if the data are a demo's, wherever they came from: its links open again and again,
     *     and anybody can read them
     */
    SayWhere(House house, WaysIn waysIn) {
        this.house = house;
        if (waysIn.anyOfADemo()) {
            throw new IllegalStateException("The data in " + house.data().toAbsolutePath()
                    + " are a demo's, whose links anybody can read, so they are not served as a real "
                    + "house. Nothing was changed.");
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        System.out.println("Clear Pane is at " + house.address() + " with its data in "
                + house.data().toAbsolutePath());
        System.out.println("Ctrl-C stops it.");
    }
}
