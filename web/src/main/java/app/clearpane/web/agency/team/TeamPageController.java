package app.clearpane.web.agency.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.agency.KeepSecondStep;
import app.clearpane.usecases.agency.KeepTeam;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The agency's people: everybody sees who is there, owners take in, change and let leave; each chooses their own
 * password.
 */
@TeamController
class TeamPageController {
    private static final String PAGE = "redirect:/t/team";
    private final People people;
    private final KeepTeam keep;
    private final KeepSecondStep secondStep;

    TeamPageController(People people, KeepTeam keep, KeepSecondStep secondStep) {
        this.secondStep = secondStep;
        this.people = people;
        this.keep = keep;
    }

    @GetMapping("/t/team")
    String team(Model model) {
        model.addAttribute("team", people.memberships());
        model.addAttribute("roles", List.of(TeamRole.values()));
        model.addAttribute("lasting", keep.lasting());
        model.addAttribute("contactDays", keep.contactDays());
        model.addAttribute("holders", secondStep.holders());
        model.addAttribute("stepAsked", secondStep.asked());
        return "agency/team";
    }

    @NeedsPassword
    @PostMapping("/t/team")
    @ForOwners
    String join(
            @RequestParam String name,
            @RequestParam String email,
            @RequestParam TeamRole role,
            @AuthenticationPrincipal Person me) {
        keep.join(new KeepTeam.Joining(name, email, role), me.actor());
        return PAGE;
    }

    @NeedsPassword
    @PostMapping("/t/team/{member}/role")
    @ForOwners
    String role(@PathVariable TeamMemberId member, @RequestParam TeamRole role, @AuthenticationPrincipal Person me) {
        keep.changeRole(member, role, me.actor());
        return PAGE;
    }

    @PostMapping("/t/team/{member}/link")
    @ForOwners
    String link(@PathVariable TeamMemberId member, @AuthenticationPrincipal Person me) {
        keep.sendLink(member, me.actor());
        return PAGE;
    }

    @NeedsPassword
    @PostMapping("/t/team/{member}/leave")
    @ForOwners
    String leave(@PathVariable TeamMemberId member, @RequestParam TeamMemberId to, @AuthenticationPrincipal Person me) {
        keep.leave(member, to, me.actor());
        return PAGE;
    }

    @PostMapping("/t/team/sessions")
    @NeedsPassword
    @ForOwners
    String sessions(@RequestParam String idleHours, @RequestParam String days, @AuthenticationPrincipal Person me) {
        keep.setLasting(idleHours, days, me.actor());
        return PAGE;
    }

    @PostMapping("/t/team/contacts")
    @NeedsPassword
    @ForOwners
    String contacts(@RequestParam String days, @AuthenticationPrincipal Person me) {
        keep.setContactDays(days, me.actor());
        return PAGE;
    }

    @ForOutsideMakers
    @GetMapping(KeepTeam.PASSWORD_PAGE)
    String password(
            @AuthenticationPrincipal Person.OfTeam me, @RequestParam(required = false) boolean kept, Model model) {
        model.addAttribute(
                "has",
                people.memberships().stream()
                        .anyMatch(one -> one.member().id().equals(me.memberId()) && one.hasPassword()));
        model.addAttribute("kept", kept);
        return "agency/password";
    }

    @ForOutsideMakers
    @PostMapping(KeepTeam.PASSWORD_PAGE)
    String choose(
            @RequestParam(defaultValue = "") String now,
            @RequestParam String password,
            @AuthenticationPrincipal Person.OfTeam me,
            HttpSession session) {
        keep.choose(me, new KeepTeam.Choosing(now, password), session.getId());
        return "redirect:" + KeepTeam.PASSWORD_PAGE + "?kept=true";
    }
}
