package app.clearpane.web.plan.team.calendar;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.usecases.agency.SetFreeDays;
import app.clearpane.usecases.plan.MakeFeed;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.ActiveProjects;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Calendar addresses of the team, and the days on which nobody works. */
@TeamController
class CalendarController {
    private final Reminders reminders;
    private final Feeds feeds;
    private final MakeFeed makeFeed;
    private final SetFreeDays setFreeDays;
    private final Agreements agreements;
    private final ActiveProjects workedOn;

    CalendarController(
            Feeds feeds,
            MakeFeed makeFeed,
            SetFreeDays setFreeDays,
            Agreements agreements,
            ActiveProjects workedOn,
            Reminders reminders) {
        this.reminders = reminders;
        this.feeds = feeds;
        this.makeFeed = makeFeed;
        this.setFreeDays = setFreeDays;
        this.agreements = agreements;
        this.workedOn = workedOn;
    }

    @ForOutsideMakers
    @GetMapping("/t/calendar")
    String calendar(@AuthenticationPrincipal Person.OfTeam me, Model model) {
        return page(me, model);
    }

    private String page(Person.OfTeam me, Model model) {
        model.addAttribute("feeds", feeds.feedsOf(me.memberId()));
        model.addAttribute("freeDays", agreements.freeDays());
        model.addAttribute("reminds", reminders.rhythm().isPresent());
        model.addAttribute("rhythm", reminders.rhythm().orElse(Rhythm.USUAL));
        model.addAttribute("projects", workedOn.projects());
        return "plan/calendar";
    }

    /** The answer shows the address, this once. */
    @ForOutsideMakers
    @PostMapping("/t/calendar/feeds")
    String make(@RequestParam String project, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Input input = new Input();
        if (project.equals("EVERYTHING")) {
            model.addAttribute("address", makeFeed.ofEverything(me));
            return page(me, model);
        }
        Optional<ProjectId> chosen = project.isEmpty()
                ? Optional.empty()
                : input.one("The project", project, ProjectId::of).filter(one -> workedOn.projects().stream()
                        .anyMatch(known -> known.id().equals(one)));
        input.require(project.isEmpty() || chosen.isPresent(), "Choose one of the projects.");
        input.allGood();
        model.addAttribute("address", chosen.isEmpty() ? makeFeed.own(me) : makeFeed.ofProject(chosen.get(), me));
        return page(me, model);
    }

    @ForOutsideMakers
    @PostMapping("/t/calendar/feeds/{feed}/revoke")
    String revoke(@PathVariable UUID feed, @AuthenticationPrincipal Person.OfTeam me) {
        makeFeed.revoke(feed, me);
        return "redirect:/t/calendar";
    }

    @PostMapping("/t/calendar/holidays")
    @ForManagers
    String holidays(@RequestParam MultipartFile file, @AuthenticationPrincipal Person me) throws IOException {
        setFreeDays.from(Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getInputStream(), me.actor());
        return "redirect:/t/calendar#free";
    }

    @PostMapping("/t/calendar/free")
    @ForManagers
    String free(@RequestParam String day, @RequestParam String name, @AuthenticationPrincipal Person me) {
        setFreeDays.free(day, name, me.actor());
        return "redirect:/t/calendar#free";
    }

    @PostMapping("/t/calendar/working")
    @ForManagers
    String working(@RequestParam String day, @AuthenticationPrincipal Person me) {
        setFreeDays.working(day, me.actor());
        return "redirect:/t/calendar#free";
    }
}
