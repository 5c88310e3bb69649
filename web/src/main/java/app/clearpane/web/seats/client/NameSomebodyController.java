package app.clearpane.web.seats.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.exposure.client.VisibleWishes;
import app.clearpane.usecases.seats.WishSeat;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.exposure.client.Through;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where a lead voice names people of their own side who should see the page. */
@Controller
class NameSomebodyController {
    private final VisibleWishes wishes;
    private final WishSeat wishSeat;
    private final Viewers viewers;

    NameSomebodyController(VisibleWishes wishes, WishSeat wishSeat, Viewers viewers) {
        this.wishes = wishes;
        this.wishSeat = wishSeat;
        this.viewers = viewers;
    }

    @GetMapping({"/c/panes/{pane}/your-people", "/t/look/{seat}/{sight}/your-people"})
    String people(Viewer viewer, Model model) {
        NotFound.unless(Optional.of(viewer).filter(Viewer::leadVoice));
        model.addAttribute("wishes", wishes.ofViewer(viewer));
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        return "seats/client/your-people";
    }

    @PostMapping("/c/panes/{pane}/your-people")
    String name(
            Viewer viewer,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String email,
            @RequestParam(defaultValue = "") String says,
            @RequestParam(defaultValue = "") String role,
            @AuthenticationPrincipal Person me) {
        wishSeat.name(viewer, new WishSeat.Typed(name, email, says, role), me.actor());
        return "redirect:" + Through.base(viewer) + "/your-people";
    }
}
