package app.clearpane.web.shell.frame;

import app.clearpane.core.project.Project;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.record.RecordWatch;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.RunningClocks;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the band above every page of the team shows. */
@ControllerAdvice(annotations = TeamController.class)
class TeamFrame {
    private static final int WORKED_ON = 30;
    private final ActiveProjects workedOn;
    private final RecordWatch watch;
    private final RunningClocks clocks;

    TeamFrame(ActiveProjects workedOn, RecordWatch watch, RunningClocks clocks) {
        this.workedOn = workedOn;
        this.watch = watch;
        this.clocks = clocks;
    }

    @ModelAttribute("me")
    Person.@Nullable OfTeam me(@AuthenticationPrincipal @Nullable Person person) {
        return person instanceof Person.OfTeam member ? member : null;
    }

    /** What whoever looks may do. */
    @ModelAttribute("can")
    Can can(@AuthenticationPrincipal @Nullable Person person) {
        return person instanceof Person.OfTeam member ? Can.of(member.role()) : Can.NOTHING;
    }

    /** The projects one may go to from anywhere. */
    @ModelAttribute("worked")
    List<Project> worked() {
        return workedOn.projects().stream().limit(WORKED_ON).toList();
    }

    @ModelAttribute("counts")
    TurnTally counts() {
        return workedOn.inAll();
    }

    /** The clock that runs for whoever looks. */
    @ModelAttribute("running")
    TimeSpent.@Nullable Running running(@AuthenticationPrincipal @Nullable Person person) {
        return person instanceof Person.OfTeam member
                ? clocks.runningOf(member.memberId()).orElse(null)
                : null;
    }

    /** Faults of the Record: shouted on every page. */
    @ModelAttribute("faults")
    List<Records.Fault> faults() {
        return watch.faults();
    }
}
