package app.clearpane.web.exposure.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.security.Person;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A client's home and their panes. */
@Controller
class ClientPaneController {
    private final HomePage homePage;
    private final PanePage panePage;
    private final WrittenPane written;
    private final Looks looks;
    private final VisibleDeliverables visible;
    private final Clock clock;

    ClientPaneController(
            HomePage homePage,
            PanePage panePage,
            WrittenPane written,
            Looks looks,
            VisibleDeliverables visible,
            Clock clock) {
        this.visible = visible;
        this.homePage = homePage;
        this.panePage = panePage;
        this.written = written;
        this.looks = looks;
        this.clock = clock;
    }

    @GetMapping("/c")
    String home(@AuthenticationPrincipal Person person, Model model) {
        if (person instanceof Person.ByLink guest) {
            return "redirect:/c/panes/" + guest.paneId();
        }
        Person.OfClient me = (Person.OfClient) person;
        HomePage.Home home = homePage.read(me.contactId());
        if (home.tiles().size() == 1) {
            return "redirect:" + home.tiles().get(0).base();
        }
        model.addAttribute("me", me);
        model.addAttribute("home", home);
        return "exposure/client/home";
    }

    /** Thanks for what they have just decided on a version; empty if they did not, or that is a while ago. */
    private Optional<WrittenPane.Thanks> thanks(Viewer viewer, VersionId on) {
        Instant now = clock.instant();
        return visible.round(viewer, on).flatMap(round -> round.madeBy(viewer.contact())
                .filter(said -> now.isBefore(said.at().plus(TakingBack.WITHIN)))
                .map(said -> WrittenPane.Thanks.of(
                        said.decision(),
                        round.mayTakeBackUntil(viewer.contact(), now).map(until -> on))));
    }

    @GetMapping({"/c/panes/{pane}", "/t/look/{seat}/{sight}"})
    String pane(
            Viewer viewer,
            @RequestParam(required = false) @Nullable VersionId decided,
            @RequestParam(required = false) @Nullable String did,
            @RequestParam(required = false) @Nullable String was,
            CsrfToken token,
            Model model) {
        PanePage.Page page = panePage.show(viewer);
        looks.listed(viewer, panePage.items(page));
        VisibleTasks.Row moved = page.tasks().stream()
                .filter(task -> task.id().toString().equals(did))
                .findFirst()
                .orElse(null);
        WrittenPane.Said said = new WrittenPane.Said(
                Optional.ofNullable(decided).flatMap(on -> thanks(viewer, on)),
                moved,
                was != null && Set.of("TO_DO", "UNDER_WAY", "DONE").contains(was) ? was : "TO_DO");
        model.addAttribute("title", page.heading().project());
        model.addAttribute("written", written.html(page, said, token.getToken()));
        return "exposure/client/pane";
    }
}
