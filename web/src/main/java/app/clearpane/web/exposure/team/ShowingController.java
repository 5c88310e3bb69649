package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.exposure.SetShowing;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is shown and held back at panes. */
@TeamController
class ShowingController {
    private final SetShowing setShowing;

    ShowingController(SetShowing setShowing) {
        this.setShowing = setShowing;
    }

    @PostMapping("/t/panes/{pane}/showings")
    @ForManagers
    String setShowing(
            @PathVariable PaneId pane,
            @RequestParam ItemId item,
            @RequestParam Showing showing,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setShowing.set(pane, item, showing, sure, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/showings/many")
    @ForManagers
    String setShowings(
            @PathVariable PaneId pane,
            @RequestParam(defaultValue = "") Set<ItemId> item,
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam Showing showing,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(
                setShowing.ofMany(pane, kind, item, all, showing, sure, me.actor()), pane, kind);
    }

    @PostMapping("/t/items/{item}/hold-back")
    @ForManagers
    String holdBack(
            @PathVariable ItemId item,
            @RequestParam PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "board") String from,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return after(setShowing.holdBackEverywhere(item, sure, me.actor()), item, pane, kind, from);
    }

    @PostMapping("/t/items/{item}/let-go")
    @ForManagers
    String letGo(
            @PathVariable ItemId item,
            @RequestParam PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam(defaultValue = "board") String from,
            @AuthenticationPrincipal Person me) {
        return after(setShowing.letGo(item, me.actor()), item, pane, kind, from);
    }

    private static String after(ProjectId project, ItemId item, PaneId pane, ContentKind kind, String from) {
        return from.equals("item") ? "redirect:/t/items/" + item : PaneController.redirectTo(project, pane, kind);
    }
}
