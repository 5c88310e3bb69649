package app.clearpane.web.you.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.you.AskForgetting;
import app.clearpane.usecases.you.DateLanguages;
import app.clearpane.usecases.you.KeepOwnThings;
import app.clearpane.usecases.you.OwnPassword;
import app.clearpane.usecases.you.ReadMails;
import app.clearpane.usecases.you.WhatWeKeep;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.security.Renamed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.ZoneId;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What a contact keeps of themselves. Whoever came by a link has nothing of their own. */
@Controller
class OwnThingsController {
    private static final String PAGE = "redirect:/c/you";
    private final KeepOwnThings things;
    private final OwnPassword password;
    private final AskForgetting forgetting;
    private final WhatWeKeep kept;
    private final ReadMails mails;
    private final SheetBytes bytes;
    private final Renamed renamed;

    OwnThingsController(
            KeepOwnThings things,
            OwnPassword password,
            AskForgetting forgetting,
            WhatWeKeep kept,
            ReadMails mails,
            SheetBytes bytes,
            Renamed renamed) {
        this.things = things;
        this.password = password;
        this.forgetting = forgetting;
        this.kept = kept;
        this.mails = mails;
        this.bytes = bytes;
        this.renamed = renamed;
    }

    @GetMapping("/c/you")
    String you(@AuthenticationPrincipal Person person, @RequestParam(defaultValue = "") String kept, Model model) {
        model.addAttribute("mine", things.find(OwnPages.contact(person)));
        model.addAttribute("languages", DateLanguages.all());
        model.addAttribute(
                "zones",
                ZoneId.getAvailableZoneIds().stream()
                        .filter(zone -> zone.matches(
                                "(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian" + "|Pacific)/.*"))
                        .sorted()
                        .toList());
        model.addAttribute("kept", kept);
        return "you/you";
    }

    @PostMapping("/c/you")
    String change(
            KeepOwnThings.Typed typed,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request,
            HttpServletResponse response) {
        ContactId id = OwnPages.contact(person);
        String called = things.change(id, filled(typed), person.actor());
        if (!called.equals(person.fullName())) {
            renamed.keep(new Person.OfClient(id.value(), called), request, response);
        }
        return PAGE + "?kept=things";
    }

    private static KeepOwnThings.Typed filled(KeepOwnThings.Typed typed) {
        return new KeepOwnThings.Typed(
                filled(typed.name()),
                filled(typed.phone()),
                filled(typed.zone()),
                filled(typed.dates()),
                filled(typed.from()),
                filled(typed.until()));
    }

    private static String filled(@Nullable String typed) {
        return Objects.requireNonNullElse(typed, "");
    }

    @GetMapping("/c/you/picture")
    ResponseEntity<Resource> picture(@AuthenticationPrincipal Person person) {
        return bytes.picture(NotFound.unless(things.picture(OwnPages.contact(person))));
    }

    @PostMapping("/c/you/picture")
    String keepPicture(@RequestParam MultipartFile file, @AuthenticationPrincipal Person person) throws IOException {
        things.keepPicture(
                OwnPages.contact(person),
                Objects.requireNonNullElse(file.getOriginalFilename(), "picture"),
                file.getInputStream(),
                person.actor());
        return PAGE;
    }

    @PostMapping("/c/you/picture/drop")
    String dropPicture(@AuthenticationPrincipal Person person) {
        things.dropPicture(OwnPages.contact(person), person.actor());
        return PAGE;
    }

    @PostMapping("/c/you/password")
    String choose(
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal Person person,
            HttpSession session) {
        this.password.choose(OwnPages.contact(person), password, session.getId(), person.actor());
        return PAGE + "?kept=password";
    }

    @PostMapping("/c/you/password/drop")
    String dropPassword(@AuthenticationPrincipal Person person) {
        password.drop(OwnPages.contact(person), person.actor());
        return PAGE;
    }

    @PostMapping("/c/you/kept")
    ResponseEntity<byte[]> takeWhatIsKept(@AuthenticationPrincipal Person person) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("what-we-keep-of-you.json")
                                .build()
                                .toString())
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(kept.take(OwnPages.contact(person), person.actor()));
    }

    @PostMapping("/c/you/forget")
    String askForgetting(@AuthenticationPrincipal Person person) {
        forgetting.ask(OwnPages.contact(person), person.actor());
        return PAGE + "#forget";
    }

    @PostMapping("/c/you/forget/take-back")
    String takeBackForgetting(@AuthenticationPrincipal Person person) {
        forgetting.takeBack(OwnPages.contact(person), person.actor());
        return PAGE + "#forget";
    }

    @GetMapping("/c/mails")
    String mails(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("mails", mails.all(OwnPages.contact(person)));
        return "you/mails";
    }
}
