package app.clearpane.web.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** The clock of the demo: set back while the story so far is told, the real time afterwards. */
public final class DemoClock extends Clock {
  private volatile Duration offset = Duration.ZERO;

  /** Goes to an instant and runs on from there. */
  void goTo(Instant instant) {
    offset = Duration.between(Instant.now(), instant);
  }

  /** Goes back to the real time. */
  void goToNow() {
    offset = Duration.ZERO;
  }

  @Override
  public Instant instant() {
    return Instant.now().plus(offset);
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return this;
  }
}
