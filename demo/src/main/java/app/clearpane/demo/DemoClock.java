package app.clearpane.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** The clock of the demo: set back while the story so far is told, in the present afterwards. */
public final class DemoClock extends Clock {
    private final Duration presentOffset;
    private volatile Duration offset;

    /** @param present the instant at which the demo is started; it need not be the real one */
    public DemoClock(Instant present) {
        this.presentOffset = Duration.between(Instant.now(), present);
        this.offset = presentOffset;
    }

    /** The instant it is once the story has been told; it runs on from where the demo was started, whatever is told. */
    public Instant present() {
        return Instant.now().plus(presentOffset);
    }

    /** Goes to an instant and runs on from there. */
    void goTo(Instant instant) {
        offset = Duration.between(Instant.now(), instant);
    }

    /** Goes back to the present. */
    void goToPresent() {
        offset = presentOffset;
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
