package app.clearpane.web.security;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.usecases.post.SendLink;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Links from mails. Opening one shows a page that comes in by itself; programs that only fetch links use none up. */
@Controller
class WayInController {
    private final SignInLinks signInLinks;
    private final ComeIn comeIn;
    private final SendLink sendLink;
    private final ComeByLink comeByLink;
    private final KnownDevice device;
    private final Limits limits;
    private final Clock clock;

    WayInController(
            SignInLinks signInLinks,
            ComeIn comeIn,
            SendLink sendLink,
            ComeByLink comeByLink,
            KnownDevice device,
            Limits limits,
            Clock clock) {
        this.device = device;
        this.signInLinks = signInLinks;
        this.comeIn = comeIn;
        this.sendLink = sendLink;
        this.comeByLink = comeByLink;
        this.limits = limits;
        this.clock = clock;
    }

    @GetMapping("/p/{key}")
    String knock(
            @PathVariable String key,
            @AuthenticationPrincipal @org.jspecify.annotations.Nullable Person person,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!limits.link(request.getRemoteAddr())) {
            return tooOften(response);
        }
        Optional<SignInLinks.WayIn> signInLink = signInLinks.find(Sha256.ofText(key));
        if (person != null
                && signInLink
                        .filter(way -> way.revokedAt() == null && ComeIn.isFor(way, person))
                        .isPresent()) {
            return "redirect:" + signInLink.get().leadsTo();
        }
        Optional<LinkSeats.Link> link = signInLink.isEmpty() ? comeByLink.findLink(key) : Optional.empty();
        if (link.isPresent()) {
            return person instanceof Person.ByLink guest && guest.key().equals(Sha256.ofText(key))
                    ? "redirect:/c/panes/" + guest.paneId()
                    : byLink(key, link.get(), ComeByLink.Given.NOTHING, "", model, response);
        }
        boolean opens = signInLink.filter(way -> way.opensAt(clock.instant())).isPresent();
        model.addAttribute("key", key);
        model.addAttribute("opens", opens);
        model.addAttribute("other", opens && person != null ? person.fullName() : "");
        model.addAttribute(
                "known",
                signInLink
                        .filter(way -> way.revokedAt() == null && way.contact() != null)
                        .isPresent());
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setStatus(opens ? 200 : 404);
        return "security/way-in";
    }

    private static String tooOften(HttpServletResponse response) {
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        return "security/too-often";
    }

    private static String byLink(
            String key,
            LinkSeats.Link link,
            ComeByLink.Given given,
            String wrong,
            Model model,
            HttpServletResponse response) {
        model.addAttribute("key", key);
        model.addAttribute("link", link);
        model.addAttribute("name", Objects.requireNonNullElse(given.name(), ""));
        model.addAttribute("email", Objects.requireNonNullElse(given.email(), ""));
        model.addAttribute("wrong", wrong);
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setStatus(wrong.isEmpty() ? 200 : 422);
        return "security/by-link";
    }

    @PostMapping("/p/{key}")
    String comeIn(
            @PathVariable String key,
            ComeByLink.Given given,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (!limits.link(request.getRemoteAddr())) {
            return tooOften(response);
        }
        Optional<LinkSeats.Link> link = comeByLink.findLink(key);
        if (link.isPresent()) {
            String wrong = comeByLink.comeIn(key, link.get(), given, request, response);
            return wrong.isEmpty()
                    ? "redirect:/c/panes/" + link.get().pane()
                    : byLink(key, link.get(), given, wrong, model, response);
        }
        Optional<String> page = comeIn.comeIn(Sha256.ofText(key), request, response);
        page.filter(in -> in.startsWith("/c")).ifPresent(in -> device.remember(key, request, response));
        return page.map(in -> "redirect:" + in).orElse("redirect:/p/" + key);
    }

    @PostMapping("/p/{key}/again")
    String sendAnother(@PathVariable String key, HttpServletRequest request, HttpServletResponse response) {
        if (!limits.mail(request.getRemoteAddr())) {
            return tooOften(response);
        }
        sendLink.sendAnother(Sha256.ofText(key));
        return "security/mail-sent";
    }
}
