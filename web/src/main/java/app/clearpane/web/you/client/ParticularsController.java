package app.clearpane.web.you.client;

import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.you.KeepParticulars;
import app.clearpane.web.deliverable.SheetBytes;
import java.io.IOException;
import java.util.Objects;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The particulars of the client whose people read and keep them. */
@Controller
class ParticularsController {
    private static final String PAGE = "redirect:/c/particulars";
    private final KeepParticulars keep;
    private final SheetBytes bytes;

    ParticularsController(KeepParticulars keep, SheetBytes bytes) {
        this.keep = keep;
        this.bytes = bytes;
    }

    @GetMapping("/c/particulars")
    String particulars(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("kept", keep.ofContact(OwnPages.contact(person)));
        return "you/particulars";
    }

    @PostMapping("/c/particulars")
    String change(
            @RequestParam(defaultValue = "") String legalName,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") String hours,
            @RequestParam(defaultValue = "") String taxNumber,
            @RequestParam(defaultValue = "0") int revision,
            @AuthenticationPrincipal Person person) {
        keep.change(
                OwnPages.contact(person),
                new KeepParticulars.Typed(legalName, address, hours, taxNumber, revision),
                person.actor());
        return PAGE;
    }

    @PostMapping("/c/particulars/logos")
    String addLogo(@RequestParam MultipartFile file, @AuthenticationPrincipal Person person) throws IOException {
        keep.addLogo(
                OwnPages.contact(person),
                Objects.requireNonNullElse(file.getOriginalFilename(), "logo"),
                file.getInputStream(),
                person.actor());
        return PAGE;
    }

    @GetMapping("/c/particulars/logos/{logo}")
    ResponseEntity<Resource> logo(@PathVariable UUID logo, @AuthenticationPrincipal Person person) {
        return bytes.logo(KeepParticulars.logo(keep.ofContact(OwnPages.contact(person)), logo));
    }

    @PostMapping("/c/particulars/logos/{logo}/drop")
    String dropLogo(@PathVariable UUID logo, @AuthenticationPrincipal Person person) {
        keep.dropLogo(OwnPages.contact(person), logo, person.actor());
        return PAGE;
    }
}
