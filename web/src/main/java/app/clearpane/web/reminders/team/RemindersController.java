package app.clearpane.web.reminders.team;

import app.clearpane.usecases.reminders.SetReminders;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;

/** When people are reminded. */
@TeamController
class RemindersController {
    private final SetReminders setReminders;

    RemindersController(SetReminders setReminders) {
        this.setReminders = setReminders;
    }

    @PostMapping("/t/calendar/reminders")
    @ForManagers
    String set(SetReminders.RhythmForm form, @AuthenticationPrincipal Person me) {
        setReminders.set(form, me.actor());
        return "redirect:/t/calendar#reminders";
    }
}
