package app.clearpane.web.clients.team;

import app.clearpane.core.agency.ClientId;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.you.KeepParticulars;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a client says of itself, as the team reads it and asks for it. */
@TeamController
class ParticularsOfClientController {
    private final KeepParticulars keep;
    private final SheetBytes bytes;

    ParticularsOfClientController(KeepParticulars keep, SheetBytes bytes) {
        this.keep = keep;
        this.bytes = bytes;
    }

    @GetMapping("/t/clients/{client}/particulars")
    String particulars(
            @PathVariable ClientId client, @RequestParam(required = false) @Nullable Boolean asked, Model model) {
        model.addAttribute("asked", Boolean.TRUE.equals(asked));
        model.addAttribute("kept", keep.ofClient(client));
        return "clients/particulars";
    }

    @GetMapping("/t/clients/{client}/logos/{logo}")
    ResponseEntity<Resource> logo(@PathVariable ClientId client, @PathVariable UUID logo) {
        return bytes.logo(KeepParticulars.logo(keep.ofClient(client), logo));
    }

    @PostMapping("/t/clients/{client}/particulars/ask")
    @ForManagers
    String ask(@PathVariable ClientId client, @AuthenticationPrincipal Person me) {
        keep.ask(client, me.actor());
        return "redirect:/t/clients/" + client + "/particulars?asked=true";
    }
}
