package app.clearpane.web;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the terminal where the house is, once it answers. The demo says so itself, with everybody's links. */
@Component
@Profile("!demo")
class SayWhere {
  private final House house;

  SayWhere(House house) {
    this.house = house;
  }

  @EventListener(ApplicationReadyEvent.class)
  void say() {
    System.out.println("Clear Pane is at " + house.address() + " with its data in " + house.data().toAbsolutePath());
    System.out.println("Ctrl-C stops it.");
  }
}
