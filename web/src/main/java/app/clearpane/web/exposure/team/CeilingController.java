package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.StartingPoint;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.usecases.exposure.PaneBoard;
import app.clearpane.usecases.exposure.SetForAllPanes;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What an owner sets for all panes: per kind, the ceiling and the starting point. */
@TeamController
class CeilingController {
    private final AgencyApertures apertures;
    private final SetForAllPanes set;
    private final People people;

    CeilingController(AgencyApertures apertures, SetForAllPanes set, People people) {
        this.people = people;
        this.apertures = apertures;
        this.set = set;
    }

    /**
     * One kind on the page.
     *
     * @param above how many published panes are set to more than the ceiling lets through
     * @param following how many published panes follow the starting point
     * @param panes how many published panes there are
     */
    record Line(
            ContentKind kind,
            Aperture ceiling,
            Aperture start,
            String ceilingFolders,
            String startFolders,
            Set<Filter> ceilingFilters,
            Set<Filter> startFilters,
            int above,
            int following,
            int panes) {}

    @GetMapping("/t/ceilings")
    @ForOwners
    String all(Model model) {
        AgencyApertures.Both both = apertures.both();
        Ceilings ceilings = both.ceilings();
        StartingPoint start = both.startingPoint();
        List<AgencyApertures.InUse> inUse = apertures.inUse();
        model.addAttribute(
                "lines",
                Arrays.stream(ContentKind.values())
                        .map(kind -> line(kind, ceilings, start, inUse))
                        .toList());
        model.addAttribute("clientsDoTasks", people.clientsDoTasks());
        model.addAttribute("rules", people.houseRules());
        return "exposure/ceilings";
    }

    private static Line line(
            ContentKind kind, Ceilings ceilings, StartingPoint starting, List<AgencyApertures.InUse> inUse) {
        Aperture ceiling = ceilings.of(kind);
        Aperture start = starting.of(kind);
        List<AgencyApertures.InUse> own =
                inUse.stream().filter(one -> one.kind() == kind).toList();
        int above = panes(own, one -> (one.follows() ? start : one.aperture()).compareTo(ceiling) > 0);
        return new Line(
                kind,
                ceiling,
                start,
                PaneBoard.folders(ceilings.filters(kind)),
                PaneBoard.folders(starting.filters(kind)),
                ceilings.filters(kind),
                starting.filters(kind),
                above,
                panes(own, AgencyApertures.InUse::follows),
                panes(own, one -> true));
    }

    private static int panes(List<AgencyApertures.InUse> sets, Predicate<AgencyApertures.InUse> which) {
        return sets.stream()
                .filter(which)
                .mapToInt(AgencyApertures.InUse::panes)
                .sum();
    }

    @NeedsPassword
    @PostMapping("/t/ceilings")
    @ForOwners
    String ceiling(
            @RequestParam ContentKind kind,
            @RequestParam Aperture aperture,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        set.ceiling(kind, aperture, sure, me.actor());
        return "redirect:/t/ceilings";
    }

    @PostMapping("/t/house-rules")
    @ForOwners
    String houseRules(@RequestParam String rules, @AuthenticationPrincipal Person me) {
        set.houseRules(rules, me.actor());
        return "redirect:/t/ceilings";
    }

    @PostMapping("/t/ceilings/tasks-for-clients")
    @ForOwners
    String clientsDoTasks(
            @RequestParam boolean asked,
            @RequestParam(defaultValue = "false") boolean may,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        set.clientsDoTasks(may, sure, me.actor());
        return "redirect:/t/ceilings";
    }

    @NeedsPassword
    @PostMapping("/t/ceilings/folders")
    @ForOwners
    String ceilingFilters(
            @RequestParam(defaultValue = "FILES") ContentKind kind,
            @RequestParam String folders,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        set.ceilingFilters(kind, folders, sure, me.actor());
        return "redirect:/t/ceilings";
    }

    @PostMapping("/t/starting-point/folders")
    @ForOwners
    String startingFilters(
            @RequestParam(defaultValue = "FILES") ContentKind kind,
            @RequestParam String folders,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        set.startingFilters(kind, folders, sure, me.actor());
        return "redirect:/t/ceilings";
    }

    @PostMapping("/t/starting-point")
    @ForOwners
    String startingPoint(
            @RequestParam ContentKind kind,
            @RequestParam Aperture aperture,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        set.startingPoint(kind, aperture, sure, me.actor());
        return "redirect:/t/ceilings";
    }
}
