package app.clearpane.web.clients.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.usecases.clients.ForgetContact;
import app.clearpane.usecases.clients.KeepClient;
import app.clearpane.usecases.clients.MergeContact;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The people of clients: who left, who is back, who is the same as another, who is forgotten. */
@TeamController
class ContactController {
    private final KeepClient keep;
    private final MergeContact mergeContact;
    private final ForgetContact forgetContact;

    ContactController(KeepClient keep, MergeContact mergeContact, ForgetContact forgetContact) {
        this.keep = keep;
        this.mergeContact = mergeContact;
        this.forgetContact = forgetContact;
    }

    @PostMapping("/t/contacts/{contact}/leave")
    @ForManagers
    String leave(
            @PathVariable ContactId contact,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        keep.leave(contact, sure, me.actor());
        return ClientsController.PAGE;
    }

    @PostMapping("/t/contacts/{contact}/merge")
    @ForManagers
    String merge(
            @PathVariable ContactId contact,
            @RequestParam ContactId into,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        mergeContact.merge(contact, into, sure, me.actor());
        return ClientsController.PAGE;
    }

    @PostMapping("/t/contacts/{contact}/back")
    @ForManagers
    String isBack(@PathVariable ContactId contact, @AuthenticationPrincipal Person me) {
        keep.isBack(contact, me.actor());
        return ClientsController.PAGE;
    }

    @NeedsPassword
    @PostMapping("/t/contacts/{contact}/forget")
    @ForOwners
    String forget(
            @PathVariable ContactId contact,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        forgetContact.forget(contact, sure, me.actor());
        return ClientsController.PAGE;
    }
}
