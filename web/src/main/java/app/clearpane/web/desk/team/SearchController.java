package app.clearpane.web.desk.team;

import app.clearpane.store.desk.Finder;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finding anything by a part of its name. */
@TeamController
@ForOutsideMakers
class SearchController {
    private static final int AT_MOST = 40;
    private static final int LONGEST = 120;
    private final Finder finder;
    private final Windows windows;
    private final TeamSight sight;

    SearchController(Finder finder, Windows windows, TeamSight sight) {
        this.windows = windows;
        this.finder = finder;
        this.sight = sight;
    }

    @GetMapping("/t/search")
    String search(@RequestParam(defaultValue = "") String q, Model model) {
        String words = q.strip().substring(0, Math.min(LONGEST, q.strip().length()));
        model.addAttribute("q", words);
        model.addAttribute("projects", words.isEmpty() ? List.of() : finder.projects(words, sight.hidden(), AT_MOST));
        List<Finder.FoundItem> items = words.isEmpty() ? List.of() : finder.items(words, sight.hidden(), AT_MOST);
        model.addAttribute("items", items);
        model.addAttribute(
                "windows",
                windows.across(items.stream().map(Finder.FoundItem::id).toList()));
        model.addAttribute(
                "contacts", words.isEmpty() || sight.isOutside() ? List.of() : finder.contacts(words, AT_MOST));
        return "desk/search";
    }
}
