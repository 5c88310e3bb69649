package app.clearpane.web.clients.team;

import app.clearpane.usecases.clients.BringPeople;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** People brought in from a file, looked at first. */
@TeamController
class BringPeopleController {
    private final BringPeople bring;

    BringPeopleController(BringPeople bring) {
        this.bring = bring;
    }

    @PostMapping("/t/clients/bring")
    @ForManagers
    String bring(@RequestParam MultipartFile file, @RequestParam(defaultValue = "") String elsewhere, Model model)
            throws IOException {
        if (file.isEmpty() || file.getSize() > ClientsController.LARGEST) {
            throw Refused.because(
                    file.isEmpty()
                            ? "Choose a file first: vCards, or a table."
                            : "It is larger than such a file should be. Bring it in parts; nothing was taken in.");
        }
        model.addAttribute("look", bring.look(new String(file.getBytes(), StandardCharsets.UTF_8), elsewhere));
        return "clients/bring";
    }

    @PostMapping("/t/clients/take")
    @ForManagers
    String take(@RequestParam(defaultValue = "") String rows, @AuthenticationPrincipal Person me) {
        bring.take(rows, me.actor());
        return ClientsController.PAGE;
    }
}
