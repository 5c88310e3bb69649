package app.clearpane.web.followup.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.usecases.followup.GiveMark;
import app.clearpane.usecases.followup.JoinMarks;
import app.clearpane.usecases.followup.MakeTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the team makes of a mark. Each form says on which version's light table it stands. */
@TeamController
class FollowUpController {
    private final GiveMark giveMark;
    private final MakeTask makeTask;
    private final JoinMarks joinMarks;

    FollowUpController(GiveMark giveMark, MakeTask makeTask, JoinMarks joinMarks) {
        this.giveMark = giveMark;
        this.makeTask = makeTask;
        this.joinMarks = joinMarks;
    }

    @PostMapping("/t/marks/{mark}/doer")
    String give(
            @PathVariable MarkupId mark,
            @RequestParam String doer,
            @RequestParam int revision,
            @RequestParam VersionId on,
            @AuthenticationPrincipal Person.OfTeam me) {
        Input input = new Input();
        Optional<TeamMemberId> member =
                doer.isBlank() ? Optional.empty() : input.one("Who does it", doer, TeamMemberId::of);
        input.allGood();
        return back(giveMark.give(mark, member, revision, me), on);
    }

    @PostMapping("/t/marks/{mark}/task")
    String task(@PathVariable MarkupId mark, @RequestParam VersionId on, @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        return back(makeTask.make(mark, me), on);
    }

    @PostMapping("/t/marks/{mark}/join")
    String join(
            @PathVariable MarkupId mark,
            @RequestParam MarkupId with,
            @RequestParam VersionId on,
            @AuthenticationPrincipal Person.OfTeam me) {
        return back(joinMarks.join(mark, with, me), on);
    }

    @PostMapping("/t/marks/{mark}/part")
    String part(@PathVariable MarkupId mark, @RequestParam VersionId on, @AuthenticationPrincipal Person.OfTeam me) {
        return back(joinMarks.part(mark, me), on);
    }

    private static String back(Mark mark, VersionId on) {
        return "redirect:/t/versions/" + on + "/light-table?page="
                + mark.place().page() + "#mark-" + mark.id();
    }
}
