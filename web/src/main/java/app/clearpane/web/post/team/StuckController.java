package app.clearpane.web.post.team;

import app.clearpane.store.post.GivenUp;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.post.SendMail;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What did not work: mails that did not leave and work that was given up, each with why, to be tried again. */
@TeamController
class StuckController {
    private final GivenUp givenUp;
    private final Jobs jobs;

    StuckController(GivenUp givenUp, Jobs jobs) {
        this.givenUp = givenUp;
        this.jobs = jobs;
    }

    @GetMapping("/t/stuck")
    @ForOwners
    String all(Model model) {
        model.addAttribute("mails", givenUp.mails());
        model.addAttribute(
                "work",
                givenUp.all().stream()
                        .filter(one -> !one.job().equals(SendMail.NAME))
                        .toList());
        return "post/stuck";
    }

    @PostMapping("/t/stuck/mails/{stuck}")
    @ForOwners
    String sendAgain(@PathVariable UUID stuck) {
        NotFound.unless(
                givenUp.mails().stream().filter(mail -> mail.id().equals(stuck)).findFirst());
        jobs.tryAgain(SendMail.NAME, stuck.toString());
        return "redirect:/t/stuck";
    }

    @PostMapping("/t/stuck/work")
    @ForOwners
    String workAgain(@RequestParam String job, @RequestParam String about) {
        NotFound.unless(givenUp.all().stream()
                .filter(one -> one.job().equals(job) && one.about().equals(about))
                .findFirst());
        jobs.tryAgain(job, about);
        return "redirect:/t/stuck";
    }
}
