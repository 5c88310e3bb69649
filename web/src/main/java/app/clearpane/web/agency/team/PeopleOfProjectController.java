package app.clearpane.web.agency.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.project.NamePeople;
import app.clearpane.usecases.project.TakeInContact;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who of both sides a project has: contacts taken in and changed, and those of the team named for it. */
@TeamController
class PeopleOfProjectController {
    private final TakeInContact takeIn;
    private final NamePeople namePeople;

    PeopleOfProjectController(TakeInContact takeIn, NamePeople namePeople) {
        this.takeIn = takeIn;
        this.namePeople = namePeople;
    }

    @PostMapping("/t/projects/{project}/of-us")
    @ForManagers
    String name(
            @PathVariable ProjectId project,
            @RequestParam(defaultValue = "") String member,
            @RequestParam(defaultValue = "") String does,
            @RequestParam(defaultValue = "false") boolean shown,
            @AuthenticationPrincipal Person me) {
        namePeople.name(project, member, does, shown, me.actor());
        return "redirect:/t/projects/" + project + "/people#of-us";
    }

    @PostMapping("/t/projects/{project}/of-us/{member}")
    @ForManagers
    String say(
            @PathVariable ProjectId project,
            @PathVariable TeamMemberId member,
            @RequestParam(defaultValue = "") String does,
            @RequestParam(defaultValue = "false") boolean shown,
            @AuthenticationPrincipal Person me) {
        namePeople.name(project, member.toString(), does, shown, me.actor());
        return "redirect:/t/projects/" + project + "/people#of-us";
    }

    @PostMapping("/t/projects/{project}/closed")
    @ForManagers
    String close(
            @PathVariable ProjectId project,
            @RequestParam boolean closed,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        namePeople.close(project, closed, sure, me.actor());
        return "redirect:/t/projects/" + project + "/people#of-us";
    }

    @PostMapping("/t/projects/{project}/of-us/{member}/drop")
    @ForManagers
    String drop(
            @PathVariable ProjectId project, @PathVariable TeamMemberId member, @AuthenticationPrincipal Person me) {
        namePeople.drop(project, member, me.actor());
        return "redirect:/t/projects/" + project + "/people#of-us";
    }

    @PostMapping("/t/projects/{project}/people/{contact}")
    @ForManagers
    String change(
            @PathVariable ProjectId project,
            @PathVariable ContactId contact,
            @RequestParam String name,
            @RequestParam String email,
            @RequestParam String says,
            @AuthenticationPrincipal Person me) {
        takeIn.change(project, contact, new TakeInContact.Typed("", name, email, says), me.actor());
        return "redirect:/t/projects/" + project + "/people";
    }

    @PostMapping("/t/projects/{project}/people")
    @ForManagers
    String takeIn(
            @PathVariable ProjectId project,
            @RequestParam String client,
            @RequestParam String name,
            @RequestParam String email,
            @RequestParam String says,
            @AuthenticationPrincipal Person me) {
        takeIn.takeIn(project, new TakeInContact.Typed(client, name, email, says), me.actor());
        return "redirect:/t/projects/" + project + "/people";
    }
}
