package app.clearpane.web.agency.team;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.usecases.agency.KeepSecondStep;
import app.clearpane.web.security.ComeIn;
import app.clearpane.web.security.HalfIn;
import app.clearpane.web.security.Limits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The question for a code, after the password. */
@Controller
class CodeController {
    private final KeepSecondStep keep;
    private final ComeIn comeIn;
    private final Limits limits;
    private final Clock clock;

    CodeController(KeepSecondStep keep, ComeIn comeIn, Limits limits, Clock clock) {
        this.keep = keep;
        this.comeIn = comeIn;
        this.limits = limits;
        this.clock = clock;
    }

    @GetMapping("/sign-in/code")
    String ask(@AuthenticationPrincipal @Nullable HalfIn someone, Model model) {
        return someone == null || !someone.isGoodAt(clock.instant()) ? "redirect:/sign-in" : asked("", model);
    }

    @PostMapping("/sign-in/code")
    String take(
            @RequestParam String code,
            @AuthenticationPrincipal @Nullable HalfIn someone,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (someone == null || !someone.isGoodAt(clock.instant())) {
            return "redirect:/sign-in";
        }
        if (!limits.code(someone.getName())) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            return asked("That was tried too often. Wait a few minutes, then try again.", model);
        }
        Optional<TeamMember> member = keep.passes(someone.memberId(), code);
        if (member.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return asked(
                    "That is not the code your app shows now, nor a recovery code of yours that is left. Wait for "
                            + "the next one and type that.",
                    model);
        }
        comeIn.asMember(member.get(), request, response);
        return "redirect:" + someone.leadsTo();
    }

    private static String asked(String wrong, Model model) {
        model.addAttribute("wrong", wrong);
        return "agency/code";
    }
}
