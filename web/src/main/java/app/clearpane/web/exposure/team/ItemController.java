package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.exposure.SetShowing;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Set;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Who sees one thing, and why; and the little window that changes it with a keystroke. */
@TeamController
class ItemController {
    private final ProjectFrame frame;
    private final Items items;
    private final ProjectFiles files;
    private final ItemSheet sheet;
    private final Windows windows;
    private final SetShowing setShowing;
    private final Notes notes;

    ItemController(
            ProjectFrame frame,
            Items items,
            ProjectFiles files,
            ItemSheet sheet,
            Windows windows,
            SetShowing setShowing,
            Notes notes) {
        this.files = files;
        this.frame = frame;
        this.items = items;
        this.sheet = sheet;
        this.windows = windows;
        this.setShowing = setShowing;
        this.notes = notes;
    }

    @GetMapping("/t/items/{item}")
    String one(@PathVariable ItemId item, @AuthenticationPrincipal Person.OfTeam me, Model model) {
        Items.Row row = NotFound.unless(items.find(item));
        Project project = frame.above(model, row.project(), "Panes");
        model.addAttribute("sheet", sheet.read(project, item));
        model.addAttribute("aFile", files.find(item).isPresent());
        model.addAttribute("notes", notes.about(Set.of(item.value()), me.memberId()));
        return "exposure/item";
    }

    /** Holds it back for everybody, or lets it go again; answers with its window. */
    @PostMapping("/t/items/{item}/window")
    @ForManagers
    String turn(@PathVariable ItemId item, @AuthenticationPrincipal Person me, Model model) {
        Items.Row row = NotFound.unless(items.find(item));
        try {
            setShowing.turn(item, me.actor());
        } catch (NeedsConfirmation asked) {
            throw Refused.because(asked.sentences().get(0)
                    + " Holding it back would bring it back to us: do it on its own page, where it is asked first.");
        }
        model.addAttribute("item", item);
        model.addAttribute("w", windows.windowsOf(row.project(), item));
        return "layout/_window :: window";
    }
}
