package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.files.ShowInPlace;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.files.InPlacePage;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.frame.TeamController;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Objects;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Where addresses lead: in place, or as it looked last. */
@TeamController
@ForOutsideMakers
class LiveFileController {
    private final ProjectFiles files;
    private final ShowInPlace showInPlace;
    private final InPlacePage page;
    private final SheetBytes bytes;

    LiveFileController(ProjectFiles files, ShowInPlace showInPlace, InPlacePage page, SheetBytes bytes) {
        this.files = files;
        this.showInPlace = showInPlace;
        this.page = page;
        this.bytes = bytes;
    }

    @GetMapping("/t/files/{file}/in-place")
    String inPlace(@PathVariable ItemId file, Model model, HttpServletResponse response) {
        ProjectFile found = NotFound.unless(files.find(file));
        return page.show(NotFound.unless(showInPlace.address(found)), found.name(), model, response);
    }

    @GetMapping("/t/files/{file}/last-look")
    ResponseEntity<Resource> lastLook(@PathVariable ItemId file) {
        return bytes.picture(showInPlace.picture(NotFound.unless(files.find(file))));
    }

    @PostMapping("/t/files/{file}/last-look")
    String take(
            @PathVariable ItemId file,
            @RequestParam(name = "file") MultipartFile picture,
            @AuthenticationPrincipal Person me)
            throws IOException {
        String name = Objects.requireNonNullElse(picture.getOriginalFilename(), "");
        showInPlace.take(file, name, picture.getInputStream(), me.actor());
        return "redirect:/t/files/" + file;
    }

    @PostMapping("/t/brand/hosts")
    @ForOwners
    String hosts(@RequestParam(defaultValue = "") String hosts, @AuthenticationPrincipal Person me) {
        showInPlace.name(hosts, me.actor());
        return "redirect:/t/brand";
    }
}
