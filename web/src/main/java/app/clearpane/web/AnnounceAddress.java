package app.clearpane.web;

import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.HouseSettings;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the terminal where the house is, once it answers. The demo says so itself, with everybody's links. */
@Component
@Profile("!demo")
class AnnounceAddress {
    private final HouseSettings house;

    /**
     * @throws IllegalStateException if the data are a demo's, wherever they came from: its links open again and again,
     *     and anybody can read them
     */
    AnnounceAddress(HouseSettings house, SignInLinks signInLinks) {
        this.house = house;
        if (signInLinks.anyOfADemo()) {
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
