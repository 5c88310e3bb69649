package app.clearpane.web.agency.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.formats.exposure.QrCode;
import app.clearpane.usecases.agency.KeepSecondStep;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.security.Limits;
import app.clearpane.web.security.SessionLimits;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Base64;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The second step of signing in: everybody their own, and owners for the whole team. */
@TeamController
@ForOutsideMakers
class SecondStepController {
    private static final String PAGE = "redirect:/t/second-step";
    private final KeepSecondStep keep;
    private final Limits limits;

    SecondStepController(KeepSecondStep keep, Limits limits) {
        this.keep = keep;
        this.limits = limits;
    }

    @GetMapping("/t/second-step")
    String page(@AuthenticationPrincipal Person.OfTeam me, Model model, HttpServletResponse response) {
        KeepSecondStep.Standing standing = keep.standingOf(me.memberId());
        model.addAttribute("standing", standing);
        standing.secret().ifPresent(secret -> model.addAttribute("groups", secret.replaceAll("(.{4})(?=.)", "$1 ")));
        standing.address()
                .ifPresent(address -> model.addAttribute(
                        "qr",
                        "data:image/png;base64,"
                                + Base64.getEncoder()
                                        .encodeToString(QrCode.of(address).png())));
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        return "agency/second-step";
    }

    @NeedsPassword
    @PostMapping("/t/second-step/begin")
    String begin(@AuthenticationPrincipal Person.OfTeam me) {
        keep.begin(me);
        return PAGE;
    }

    @PostMapping("/t/second-step/confirm")
    String confirm(
            @RequestParam String code,
            @AuthenticationPrincipal Person.OfTeam me,
            HttpSession session,
            Model model,
            HttpServletResponse response) {
        if (!limits.code(me.getName())) {
            throw Refused.because(
                    "Too many codes were tried. Nothing was changed; wait a few minutes, then try again.");
        }
        List<String> codes = keep.confirm(me, code, session.getId());
        session.removeAttribute(SessionLimits.OWES_SECOND_STEP);
        return shown(codes, model, response);
    }

    @NeedsPassword
    @PostMapping("/t/second-step/codes")
    String codes(@AuthenticationPrincipal Person.OfTeam me, Model model, HttpServletResponse response) {
        return shown(keep.renewCodes(me), model, response);
    }

    private static String shown(List<String> codes, Model model, HttpServletResponse response) {
        model.addAttribute("codes", codes);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        return "agency/recovery-codes";
    }

    @NeedsPassword
    @PostMapping("/t/second-step/end")
    String end(@AuthenticationPrincipal Person.OfTeam me) {
        keep.end(me);
        return PAGE;
    }

    @NeedsPassword
    @PostMapping("/t/team/second-step")
    @ForOwners
    String ask(@RequestParam boolean asked, @AuthenticationPrincipal Person.OfTeam me) {
        keep.ask(asked, me);
        return "redirect:/t/team";
    }

    @NeedsPassword
    @PostMapping("/t/team/{member}/second-step/end")
    @ForOwners
    String endFor(@PathVariable TeamMemberId member, @AuthenticationPrincipal Person me) {
        keep.endFor(member, me.actor());
        return "redirect:/t/team";
    }
}
