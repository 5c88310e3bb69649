package app.clearpane.web.plan.team.calendar;

import app.clearpane.formats.plan.Calendars;
import app.clearpane.store.plan.Feeds;
import app.clearpane.usecases.plan.MakeFeed;
import app.clearpane.usecases.shell.NotFound;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Calendars, for programs that come with a key. An address that opens nothing answers like one that never was. */
@Controller
class FeedController {
    private final MakeFeed makeFeed;
    private final FeedOf feedOf;
    private final Clock clock;

    FeedController(MakeFeed makeFeed, FeedOf feedOf, Clock clock) {
        this.makeFeed = makeFeed;
        this.feedOf = feedOf;
        this.clock = clock;
    }

    @GetMapping("/p/calendar/{key}")
    ResponseEntity<byte[]> feed(@PathVariable String key) {
        Feeds.Feed feed = NotFound.unless(makeFeed.opened(key));
        List<Calendars.Entry> entries = NotFound.unless(feedOf.entriesOf(feed));
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .cacheControl(CacheControl.noStore())
                .body(Calendars.write(feed.name(), entries, clock.instant()).getBytes(StandardCharsets.UTF_8));
    }
}
