package app.clearpane.demo;

import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.reminders.SendReminders;
import app.clearpane.usecases.shell.TheAgency;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;

/** Tells the story where the data folder is still empty, then prints one line for each person to sign in by. */
class StartDemo {
    private final SendReminders reminders;
    private final DemoStory story;
    private final TheAgency agency;
    private final HouseSettings house;
    private final WaysToSignIn ways;

    StartDemo(DemoStory story, TheAgency agency, HouseSettings house, SendReminders reminders, WaysToSignIn ways) {
        this.ways = ways;
        this.reminders = reminders;
        this.story = story;
        this.agency = agency;
        this.house = house;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    void start() {
        if (!agency.isFounded()) {
            story.tell();
            reminders.goRound();
        }
        print("Clear Pane is at " + house.address() + " with the demo data in "
                + house.data().toAbsolutePath());
        ways.print().forEach(this::print);
        print("The team’s password is: " + Cast.PASSWORD);
        print("Post room, with every mail that was sent: " + house.address() + "/post-room");
        print("Ctrl-C stops it.");
    }

    private void print(String line) {
        System.out.println(line);
    }
}
