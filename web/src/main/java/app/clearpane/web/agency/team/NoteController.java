package app.clearpane.web.agency.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.agency.WriteNote;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Notes of the team. */
@TeamController
class NoteController {
    private final WriteNote writeNote;

    NoteController(WriteNote writeNote) {
        this.writeNote = writeNote;
    }

    @PostMapping("/t/projects/{project}/notes")
    String write(
            @PathVariable ProjectId project,
            @RequestParam UUID subject,
            @RequestParam String body,
            @RequestParam(defaultValue = "false") boolean team,
            @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:" + writeNote.write(project, subject, body, team, me);
    }

    @PostMapping("/t/notes/{note}/delete")
    String delete(@PathVariable UUID note, @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:" + writeNote.delete(note, me);
    }

    @PostMapping("/t/notes/{note}/restore")
    String restore(@PathVariable UUID note, @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:" + writeNote.restore(note, me);
    }
}
