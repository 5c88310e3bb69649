package app.clearpane.web.agency.team;

import app.clearpane.usecases.agency.ResetPassword;
import app.clearpane.web.security.Limits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A forgotten password of the team's. */
@Controller
class ResetPasswordController {
    private final ResetPassword resetPassword;
    private final Limits limits;

    ResetPasswordController(ResetPassword resetPassword, Limits limits) {
        this.resetPassword = resetPassword;
        this.limits = limits;
    }

    @GetMapping("/sign-in/forgotten")
    String forgotten() {
        return "agency/forgotten";
    }

    @PostMapping("/sign-in/forgotten")
    String ask(@RequestParam String email, HttpServletRequest request, HttpServletResponse response) {
        if (!limits.mail(request.getRemoteAddr())) {
            return tooOften(response);
        }
        resetPassword.ask(email);
        return "security/mail-sent";
    }

    @GetMapping("/sign-in/new-password/{key}")
    String blank(@PathVariable String key, HttpServletRequest request, HttpServletResponse response, Model model) {
        if (!limits.link(request.getRemoteAddr())) {
            return tooOften(response);
        }
        boolean opens = resetPassword.opens(key);
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setStatus(opens ? HttpStatus.OK.value() : HttpStatus.NOT_FOUND.value());
        model.addAttribute("opens", opens);
        model.addAttribute("action", "/sign-in/new-password/" + key);
        return "agency/new-password";
    }

    @PostMapping("/sign-in/new-password/{key}")
    String choose(
            @PathVariable String key,
            @RequestParam String password,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!limits.link(request.getRemoteAddr())) {
            return tooOften(response);
        }
        resetPassword.choose(key, password);
        return "redirect:/sign-in?changed";
    }

    private static String tooOften(HttpServletResponse response) {
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        return "security/too-often";
    }
}
