package app.clearpane.web.files.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.usecases.files.TellOfFile;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Tells people of the client's of a file. */
@TeamController
class TellController {
    private final TellOfFile tellOfFile;

    TellController(TellOfFile tellOfFile) {
        this.tellOfFile = tellOfFile;
    }

    @PostMapping("/t/files/{file}/tell")
    @ForManagers
    String tell(
            @PathVariable ItemId file,
            @RequestParam(required = false) @Nullable List<String> whom,
            @RequestParam(defaultValue = "") String words,
            @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Set<ContactId> chosen = Objects.requireNonNullElse(whom, List.<String>of()).stream()
                .flatMap(one -> input.one("Who is told", one, ContactId::of).stream())
                .collect(Collectors.toSet());
        input.allGood();
        tellOfFile.tell(file, chosen, words, me);
        return "redirect:/t/items/" + file + "?told";
    }
}
