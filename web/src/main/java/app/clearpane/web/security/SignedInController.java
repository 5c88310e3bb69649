package app.clearpane.web.security;

import app.clearpane.store.agency.Sessions;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Where one is signed in: everybody sees their own places and ends them. */
@Controller
class SignedInController {
    private final Sessions sessions;

    SignedInController(Sessions sessions) {
        this.sessions = sessions;
    }

    @GetMapping("/signed-in")
    String places(@AuthenticationPrincipal Person me, HttpSession session, Model model) {
        model.addAttribute(
                "places",
                sessions.placesOf(me.getName()).stream()
                        .map(place -> new Shown(
                                place.session(),
                                Browser.of(place.browser()).inWords(),
                                place.address(),
                                place.since(),
                                place.lastSeen()))
                        .toList());
        model.addAttribute("here", session.getId());
        model.addAttribute("name", me.fullName().isEmpty() ? "a guest" : me.fullName());
        return "security/signed-in";
    }

    /** A place as it is shown. */
    record Shown(String session, String browser, String address, Instant since, Instant lastSeen) {}

    @PostMapping("/signed-in/{place}/end")
    String end(@PathVariable String place, @AuthenticationPrincipal Person me) {
        if (!sessions.endOne(me.getName(), place)) {
            throw new NotFound();
        }
        return "redirect:/signed-in";
    }

    @PostMapping("/signed-in/elsewhere/end")
    String endElsewhere(@AuthenticationPrincipal Person me, HttpSession session) {
        sessions.endOthers(me.getName(), session.getId());
        return "redirect:/signed-in";
    }
}
