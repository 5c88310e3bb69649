package app.clearpane.web.security;

import app.clearpane.store.agency.People;
import app.clearpane.usecases.post.SendLink;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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
    private final People people;
    private final SendLink sendLink;
    private final Limits limits;

    SignInController(People people, SendLink sendLink, Limits limits) {
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

    @GetMapping("/come-in")
    String comeIn(HttpServletRequest request, Model model) {
        model.addAttribute("out", request.getParameterMap().containsKey("out"));
        return "security/come-in";
    }

    @PostMapping("/come-in")
    String sendLink(@RequestParam String email, HttpServletRequest request, HttpServletResponse response) {
        if (!limits.mail(request.getRemoteAddr())) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            return "security/too-often";
        }
        sendLink.sendTo(email);
        return "security/mail-sent";
    }
}
