package app.clearpane.web;

import java.time.Instant;

/**
 * The instant at which the application under test is started, whatever the real one is: {@code clearpane.test.now},
 * else an ordinary Wednesday. Its clock runs on from there.
 */
public final class Moment {
    public static final Instant START = Instant.parse(System.getProperty("clearpane.test.now", "2027-03-24T09:30:00Z"));

    private Moment() {}
}
