package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.usecases.exposure.SetSections;
import app.clearpane.usecases.exposure.SetUpPane;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What passes through a pane, and the words on it. */
@TeamController
class PaneSettingsController {
    private final SetUpPane setUpPane;
    private final SetSections setSections;

    PaneSettingsController(SetUpPane setUpPane, SetSections setSections) {
        this.setUpPane = setUpPane;
        this.setSections = setSections;
    }

    @PostMapping("/t/panes/{pane}/words")
    @ForManagers
    String change(
            @PathVariable PaneId pane,
            SetUpPane.WordsForm form,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(
                setUpPane.change(pane, form, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/sections")
    @ForManagers
    String setSections(@PathVariable PaneId pane, SetSections.Form form, @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setSections.set(pane, form, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/apertures")
    @ForManagers
    String setAperture(
            @PathVariable PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam Aperture aperture,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setUpPane.setAperture(pane, kind, aperture, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/filters")
    @ForManagers
    String setFilters(
            @PathVariable PaneId pane,
            @RequestParam(defaultValue = "FILES") ContentKind kind,
            @RequestParam(defaultValue = "") String folders,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setUpPane.setFilters(pane, kind, folders, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/arrivals")
    @ForManagers
    String setArrivals(
            @PathVariable PaneId pane,
            @RequestParam ContentKind kind,
            @RequestParam boolean shown,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setUpPane.setArrivals(pane, kind, shown, me.actor()), pane, kind);
    }

    @PostMapping("/t/panes/{pane}/starting-point")
    @ForManagers
    String follow(@PathVariable PaneId pane, @RequestParam boolean follows, @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(setUpPane.follow(pane, follows, me.actor()), pane, ContentKind.DELIVERABLES);
    }
}
