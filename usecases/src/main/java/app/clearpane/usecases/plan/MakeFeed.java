package app.clearpane.usecases.plan;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes calendar addresses that carry their own key, and takes them back. The key is shown once. */
@Component
public class MakeFeed {
    private final Feeds feeds;
    private final Projects projects;
    private final LinkKeys keys;
    private final HouseSettings house;
    private final Clock clock;

    MakeFeed(Feeds feeds, Projects projects, LinkKeys keys, HouseSettings house, Clock clock) {
        this.feeds = feeds;
        this.projects = projects;
        this.keys = keys;
        this.house = house;
        this.clock = clock;
    }

    /** Of what is in one's own hands. @return its address */
    @Transactional
    public String own(Person.OfTeam me) {
        return make(me.memberId(), null, null, false, me.fullName());
    }

    /** Of everything that has a day, over all projects. @return its address */
    @Transactional
    public String ofEverything(Person.OfTeam me) {
        return make(me.memberId(), null, null, true, "All dates");
    }

    /** Of a project, as the team sees it. @return its address */
    @Transactional
    public String ofProject(ProjectId id, Person.OfTeam me) {
        Project project = NotFound.unless(projects.find(id));
        return make(me.memberId(), id, null, false, project.fullName());
    }

    /**
     * Of what somebody sees through a pane; the one they had is taken back. @return its address @throws Refused for
     * whoever has nothing but a link
     */
    @Transactional
    public String ofSeat(Viewer viewer, String name) {
        if (viewer.byLink() || viewer.looking()) {
            throw Refused.because("A calendar is for somebody who has a seat here. Nothing was made.");
        }
        feeds.revoke(viewer.seat(), clock.instant());
        return make(null, null, viewer.seat(), false, name);
    }

    private String make(
            @Nullable TeamMemberId member,
            @Nullable ProjectId project,
            @Nullable SeatId seat,
            boolean everything,
            String name) {
        LinkKeys.Loose key = keys.loose();
        feeds.add(
                new Feeds.Feed(UUID.randomUUID(), member, project, seat, everything, name, clock.instant(), null),
                key.hash());
        return house.address() + "/p/calendar/"
                + key.address().substring(key.address().lastIndexOf('/') + 1);
    }

    /** Takes one of one's own back, at once. */
    @Transactional
    public void revoke(UUID id, Person.OfTeam me) {
        NotFound.unless(Optional.of(id).filter(one -> feeds.revoke(one, me.memberId(), clock.instant())));
    }

    /** What an address opens, by its key. */
    public Optional<Feeds.Feed> opened(String key) {
        return feeds.fetched(Sha256.ofText(key), clock.instant());
    }
}
