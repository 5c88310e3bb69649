package app.clearpane.web.security;

import app.clearpane.core.agency.Contact;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.post.SendLink;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The front door: to the team's sign-in, to a client's page, or to setting up. */
@Controller
class SignInController {
    private static final String MAIL_SENT = "security/mail-sent";
    private static final Pattern PAGE_OF_CLIENTS = Pattern.compile("/c(/[\\w./~-]{0,300})?");
    private final People people;
    private final SendLink sendLink;
    private final KnownDevice device;
    private final Limits limits;

    SignInController(People people, SendLink sendLink, KnownDevice device, Limits limits) {
        this.device = device;
        this.people = people;
        this.sendLink = sendLink;
        this.limits = limits;
    }

    @GetMapping("/")
    String front(@AuthenticationPrincipal @Nullable Person person) {
        if (person instanceof Person.OfTeam) {
            return "redirect:/t";
        }
        if (person instanceof Person.OfClient || person instanceof Person.ByLink) {
            return "redirect:/c";
        }
        return people.agency().isEmpty() ? "redirect:/set-up" : "redirect:/sign-in";
    }

    @GetMapping("/sign-in")
    String signIn(HttpServletRequest request, Model model) {
        if (people.agency().isEmpty()) {
            return "redirect:/set-up";
        }
        model.addAttribute("wrong", request.getParameterMap().containsKey("wrong"));
        model.addAttribute("often", request.getParameterMap().containsKey("often"));
        model.addAttribute("changed", request.getParameterMap().containsKey("changed"));
        model.addAttribute("out", request.getParameterMap().containsKey("out"));
        return "security/sign-in";
    }

    /** On a device on which somebody came in before, a fresh link to where they were going is mailed by itself. */
    @GetMapping("/come-in")
    String comeIn(
            @RequestParam(defaultValue = "") String to,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        boolean out = request.getParameterMap().containsKey("out");
        if (out) {
            device.forget(request, response);
        }
        model.addAttribute("out", out);
        model.addAttribute("to", page(to));
        return !out && !to.isEmpty() && device.keyHash(request).isPresent()
                ? "security/fresh-link"
                : "security/come-in";
    }

    @PostMapping("/come-in")
    String sendLink(
            @RequestParam String email,
            @RequestParam(defaultValue = "") String to,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!limits.mail(request.getRemoteAddr())) {
            return tooOften(response);
        }
        sendLink.sendTo(email, page(to));
        return MAIL_SENT;
    }

    @PostMapping("/come-in/fresh")
    String sendFresh(
            @RequestParam(defaultValue = "") String to,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (!limits.mail(request.getRemoteAddr())) {
            return tooOften(response);
        }
        Optional<Contact> sentTo = device.keyHash(request).flatMap(key -> sendLink.sendFor(key, page(to)));
        if (sentTo.isEmpty()) {
            return "redirect:/come-in";
        }
        model.addAttribute("where", hinted(sentTo.get().email()));
        return MAIL_SENT;
    }

    private static String tooOften(HttpServletResponse response) {
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        return "security/too-often";
    }

    /** A page of clients; anything else that was asked for is their home. */
    private static String page(String wanted) {
        return PAGE_OF_CLIENTS.matcher(wanted).matches() ? wanted : "/c";
    }

    /** Enough of an address for whoever has it: "o…@penwether.example". */
    private static String hinted(String address) {
        return address.substring(0, 1) + "…" + address.substring(address.indexOf('@'));
    }
}
