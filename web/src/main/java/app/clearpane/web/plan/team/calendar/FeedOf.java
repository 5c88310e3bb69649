package app.clearpane.web.plan.team.calendar;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.Feeds;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What a calendar address holds: for the team what is theirs or a project's, for a seat exactly what its holder may see
 * now, and nothing once they may not.
 */
@Component
class FeedOf {
    private final Seats seats;
    private final Viewers viewers;
    private final TheAgency agency;
    private final FeedOfTeam team;
    private final FeedOfSeat client;

    FeedOf(Seats seats, Viewers viewers, TheAgency agency, FeedOfTeam team, FeedOfSeat client) {
        this.client = client;
        this.team = team;
        this.seats = seats;
        this.viewers = viewers;
        this.agency = agency;
    }

    /** Its entries; empty where whoever made it may no longer see them. */
    Optional<List<Calendars.Entry>> entriesOf(Feeds.Feed feed) {
        if (feed.seat() != null) {
            return seats.find(feed.seat()).flatMap(this::viewer).map(client::seen);
        }
        return team.entriesOf(feed);
    }

    private Optional<Viewer> viewer(SeatRow seat) {
        return viewers.viewerAt(seat.pane(), seat.contact(), agency.now());
    }

    static Calendars.Entry entry(UUID id, int sequence, String name, String project, LocalDate day, boolean cancelled) {
        return new Calendars.Entry(id + "@clearpane", sequence, name, project, day, Optional.empty(), cancelled);
    }
}
