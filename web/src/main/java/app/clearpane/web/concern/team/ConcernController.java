package app.clearpane.web.concern.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Concern;
import app.clearpane.core.project.Gravity;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Concerns;
import app.clearpane.usecases.concern.KeepConcern;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The concerns of a project: a list, the heaviest first, and a field of how likely they are against what they would do.
 */
@TeamController
class ConcernController {
    private final ProjectFrame frame;
    private final Concerns concerns;
    private final KeepConcern keep;
    private final TeamSight sight;
    private final Windows windows;

    ConcernController(ProjectFrame frame, Concerns concerns, KeepConcern keep, TeamSight sight, Windows windows) {
        this.frame = frame;
        this.concerns = concerns;
        this.keep = keep;
        this.sight = sight;
        this.windows = windows;
    }

    /** A concern with its number on the page. */
    public record Numbered(int number, Concern concern) {}

    /** A cell of the field. @param numbers of the concerns that stand in it */
    public record Cell(int likelihood, int effect, Gravity gravity, List<Integer> numbers) {}

    @GetMapping("/t/projects/{project}/concerns")
    String all(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Concerns");
        List<Concern> found = concerns.ofProject(project);
        List<Numbered> numbered = IntStream.range(0, found.size())
                .mapToObj(i -> new Numbered(i + 1, found.get(i)))
                .toList();
        model.addAttribute(
                "standing",
                numbered.stream().filter(one -> one.concern().open()).toList());
        model.addAttribute(
                "settled",
                numbered.stream().filter(one -> !one.concern().open()).toList());
        model.addAttribute("field", field(numbered));
        model.addAttribute("windows", windows.windowsOf(project));
        model.addAttribute("team", sight.seeing(project));
        return "concern/list";
    }

    /** Rows from the most likely down, cells from the least effect on. What has happened stands in the top row. */
    private static List<List<Cell>> field(List<Numbered> numbered) {
        List<List<Cell>> rows = new ArrayList<>();
        for (int likelihood = Gravity.MOST; likelihood >= Gravity.LEAST; likelihood--) {
            int row = likelihood;
            rows.add(IntStream.rangeClosed(Gravity.LEAST, Gravity.MOST)
                    .mapToObj(effect -> new Cell(
                            row,
                            effect,
                            Gravity.of(false, row, effect),
                            numbered.stream()
                                    .filter(one -> one.concern().open()
                                            && one.concern().effect() == effect
                                            && (one.concern().issue()
                                                            ? Gravity.MOST
                                                            : one.concern().likelihood())
                                                    == row)
                                    .map(Numbered::number)
                                    .toList()))
                    .toList());
        }
        return rows;
    }

    @PostMapping("/t/projects/{project}/concerns")
    String add(@PathVariable ProjectId project, KeepConcern.Form form, @AuthenticationPrincipal Person me) {
        keep.add(project, form, me.actor());
        return back(project);
    }

    @PostMapping("/t/concerns/{concern}")
    String change(@PathVariable ItemId concern, KeepConcern.Form form, @AuthenticationPrincipal Person me) {
        return back(keep.change(concern, form, me.actor()));
    }

    @PostMapping("/t/concerns/{concern}/settled")
    String settled(@PathVariable ItemId concern, @RequestParam boolean settled, @AuthenticationPrincipal Person me) {
        return back(keep.close(concern, settled, me.actor()));
    }

    @PostMapping("/t/concerns/{concern}/delete")
    String delete(@PathVariable ItemId concern, @AuthenticationPrincipal Person me) {
        return back(keep.delete(concern, me.actor()));
    }

    private static String back(ProjectId project) {
        return "redirect:/t/projects/" + project + "/concerns";
    }
}
