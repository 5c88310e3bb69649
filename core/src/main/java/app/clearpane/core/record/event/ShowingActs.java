package app.clearpane.core.record.event;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import java.util.List;
import java.util.Optional;

/** What a Record tells of what is shown. */
public final class ShowingActs {
    private ShowingActs() {}

    /** In words: somebody gave sections their words and order at the pane … */
    public record PaneSections(Actor actor, String subject, String order) implements Happening {}

    /** In words: somebody said what passes the ceiling of … */
    public record CeilingFolders(Actor actor, String subject, ContentKind kind, String folders) implements Happening {}

    /** In words: somebody said what passes at the start for … */
    public record StartingPointFolders(Actor actor, String subject, ContentKind kind, String folders)
            implements Happening {}

    /** Somebody set a ceiling or where panes start. */
    public record ForAllPanesSet(Act act, Actor actor, String subject, ContentKind kind, Aperture aperture)
            implements Happening {}

    /** In words: somebody let several things come into sight, or go out of … */
    public record ThingsCameOrWent(Act act, Actor actor, String subject, List<String> things, String because)
            implements Happening {}

    /** In words: somebody let something come into sight, or go out of … */
    public record ThingCameOrWent(Act act, Actor actor, String subject, String pane, ContentKind kind, String because)
            implements Happening {}

    /** In words: somebody made the pane … */
    public record PaneAdded(Actor actor, String subject, Optional<String> like) implements Happening {}

    /** In words: somebody changed the pane … */
    public record PaneChanged(
            Actor actor, String subject, String welcome, String guide, String cover, String firstDay, String lastDay)
            implements Happening {}

    /** In words: somebody set an aperture of the pane … */
    public record ApertureSet(Actor actor, String subject, ContentKind kind, Aperture aperture) implements Happening {}

    /** In words: somebody said what passes at the pane … */
    public record FilterSet(Actor actor, String subject, ContentKind kind, String folders) implements Happening {}

    /** Somebody said how new things arrive at a pane. */
    public record ArrivalsTurned(Act act, Actor actor, String subject, ContentKind kind) implements Happening {}

    /** Somebody let a pane follow the starting point, or have its own. */
    public record PaneTurned(Act act, Actor actor, String subject) implements Happening {}

    /** In words: somebody looked through a seat at … */
    public record LookedThrough(Actor actor, String subject, String as) implements Happening {}

    /** Somebody chose whether something is shown. */
    public record ShowingChosen(Act act, Actor actor, String subject, String pane, ContentKind kind)
            implements Happening {}

    /** Somebody chose whether many things are shown. */
    public record ShowingChosenForMany(Act act, Actor actor, String subject, ContentKind kind, int count, String names)
            implements Happening {}

    /** In words: somebody held back, for everybody … */
    public record ItemHeldBackEverywhere(Actor actor, String subject, ContentKind kind) implements Happening {}

    /** In words: somebody no longer holds back, for everybody … */
    public record ItemLetGo(Actor actor, String subject, ContentKind kind) implements Happening {}

    /** In words: somebody published the pane … */
    public record PanePublished(Actor actor, String subject, List<String> shown, List<String> taken)
            implements Happening {}

    /** In words: somebody dropped what was pending at the pane … */
    public record PaneDiscarded(Actor actor, String subject, List<String> notShown, List<String> shownAgain)
            implements Happening {}
}
