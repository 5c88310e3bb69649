package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.SeatId;
import app.clearpane.formats.exposure.QrCode;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import java.time.Clock;
import java.util.Base64;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Links for whoever has them. */
@TeamController
class LinkController {
    private static final int SHOWN = 200;
    private final ProjectFrame frame;
    private final LinkSeats links;
    private final Panes panes;
    private final MakeLink makeLink;
    private final Clock clock;

    LinkController(ProjectFrame frame, LinkSeats links, Panes panes, MakeLink makeLink, Clock clock) {
        this.frame = frame;
        this.links = links;
        this.panes = panes;
        this.makeLink = makeLink;
        this.clock = clock;
    }

    @GetMapping("/t/links/{link}")
    @ForManagers
    String one(@PathVariable SeatId link, Model model) {
        LinkSeats.Link found = NotFound.unless(links.find(link));
        Panes.Row pane = panes.find(found.pane()).orElseThrow();
        frame.above(model, pane.project(), "Panes");
        model.addAttribute("link", found);
        model.addAttribute("keepsAddress", links.keepsAddress(link));
        model.addAttribute("opens", found.opensAt(clock.instant()));
        model.addAttribute("pane", pane);
        model.addAttribute("openings", links.openings(link, SHOWN));
        if (model.getAttribute("address") instanceof String address) {
            QrCode code = QrCode.of(address);
            model.addAttribute("svg", base64(code.svg().getBytes(java.nio.charset.StandardCharsets.UTF_8)));
            model.addAttribute("png", base64(code.png()));
        }
        return "exposure/link";
    }

    private static String base64(byte[] bytes) {
        return Base64.getEncoder().encodeToString(bytes);
    }

    @NeedsPassword
    @PostMapping("/t/panes/{pane}/links")
    @ForManagers
    String make(
            @PathVariable PaneId pane,
            MakeLink.Form form,
            @AuthenticationPrincipal Person me,
            RedirectAttributes once) {
        return shown(makeLink.make(pane, form, me.actor()), once);
    }

    @NeedsPassword
    @PostMapping("/t/links/{link}/renew")
    @ForManagers
    String renew(@PathVariable SeatId link, @AuthenticationPrincipal Person me, RedirectAttributes once) {
        return shown(makeLink.renew(link, me.actor()), once);
    }

    @NeedsPassword
    @PostMapping("/t/links/{link}/address")
    @ForManagers
    String address(@PathVariable SeatId link, @AuthenticationPrincipal Person me, RedirectAttributes once) {
        return shown(makeLink.show(link, me.actor()), once);
    }

    private static String shown(MakeLink.Made made, RedirectAttributes once) {
        once.addFlashAttribute("address", made.address());
        return "redirect:/t/links/" + made.link();
    }

    @PostMapping("/t/links/{link}/revoke")
    @ForManagers
    String revoke(@PathVariable SeatId link, @AuthenticationPrincipal Person me) {
        makeLink.revoke(link, me.actor());
        return "redirect:/t/links/" + link;
    }
}
