package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.usecases.hours.SpendTime;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Time spent on tasks. */
@TeamController
@ForOutsideMakers
class TimeController {
    private final SpendTime spendTime;

    TimeController(SpendTime spendTime) {
        this.spendTime = spendTime;
    }

    @PostMapping("/t/tasks/{task}/time")
    String spend(
            @PathVariable ItemId task,
            @RequestParam String time,
            @RequestParam String day,
            @AuthenticationPrincipal Person.OfTeam me) {
        spendTime.byHand(task, time, day, me);
        return back(task);
    }

    @PostMapping("/t/tasks/{task}/clock")
    String clock(@PathVariable ItemId task, @RequestParam boolean runs, @AuthenticationPrincipal Person.OfTeam me) {
        if (runs) {
            spendTime.start(task, me);
        } else {
            spendTime.stop(me);
        }
        return back(task);
    }

    @PostMapping("/t/tasks/{task}/time/{entry}/remove")
    String remove(@PathVariable ItemId task, @PathVariable UUID entry, @AuthenticationPrincipal Person.OfTeam me) {
        spendTime.remove(entry, me);
        return back(task);
    }

    private static String back(ItemId task) {
        return "redirect:/t/tasks/" + task + "#time";
    }
}
