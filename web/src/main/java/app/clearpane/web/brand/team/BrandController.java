package app.clearpane.web.brand.team;

import app.clearpane.core.agency.Accent;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.brand.KeepPicture;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.access.ForOwners;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Objects;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The agency's logo and colour, clients' logos, covers of projects, and what clients read of oneself. */
@TeamController
class BrandController {
    private static final int LONGEST_PHONE = 40;
    private static final int LONGEST_REACHED = 120;
    private final HousePictures pictures;
    private final KeepPicture keep;
    private final ProjectPeople people;
    private final Directory directory;
    private final Projects projects;
    private final SheetBytes bytes;
    private final TheAgency agency;

    BrandController(
            HousePictures pictures,
            KeepPicture keep,
            ProjectPeople people,
            Directory directory,
            Projects projects,
            SheetBytes bytes,
            TheAgency agency) {
        this.pictures = pictures;
        this.keep = keep;
        this.people = people;
        this.directory = directory;
        this.projects = projects;
        this.bytes = bytes;
        this.agency = agency;
    }

    @ForOutsideMakers
    @GetMapping("/t/pictures/{role}/{subject}")
    ResponseEntity<Resource> picture(@PathVariable HousePictures.Role role, @PathVariable UUID subject) {
        return bytes.picture(NotFound.unless(pictures.find(subject, role)));
    }

    @GetMapping("/t/brand")
    @ForOwners
    String brand(Model model) {
        String accent = pictures.accent();
        model.addAttribute("agencyId", agency.get().id());
        model.addAttribute(
                "logo",
                pictures.find(agency.get().id(), HousePictures.Role.LOGO).isPresent());
        model.addAttribute("accent", accent);
        model.addAttribute(
                "darkened",
                Accent.read(accent)
                        .filter(given -> !given.legible().equals(given))
                        .map(given -> given.legible().toString())
                        .orElse(""));
        return "brand/brand";
    }

    @PostMapping("/t/brand/logo")
    @ForOwners
    String logo(@RequestParam MultipartFile file, @AuthenticationPrincipal Person me) throws IOException {
        keep(agency.get().id(), HousePictures.Role.LOGO, "The agency’s logo", file, me);
        return "redirect:/t/brand";
    }

    @PostMapping("/t/brand/logo/drop")
    @ForOwners
    String dropLogo(@AuthenticationPrincipal Person me) {
        keep.drop(agency.get().id(), HousePictures.Role.LOGO, "The agency’s logo", me.actor());
        return "redirect:/t/brand";
    }

    @PostMapping("/t/brand/accent")
    @ForOwners
    String accent(@RequestParam(defaultValue = "") String accent, @AuthenticationPrincipal Person me) {
        keep.setAccent(accent, me.actor());
        return "redirect:/t/brand";
    }

    @PostMapping("/t/clients/{client}/logo")
    @ForManagers
    String clientLogo(
            @PathVariable ClientId client, @RequestParam MultipartFile file, @AuthenticationPrincipal Person me)
            throws IOException {
        keep(
                client.value(),
                HousePictures.Role.LOGO,
                "The logo of " + NotFound.unless(directory.find(client)).name(),
                file,
                me);
        return "redirect:/t/clients";
    }

    @PostMapping("/t/clients/{client}/logo/drop")
    @ForManagers
    String dropClientLogo(@PathVariable ClientId client, @AuthenticationPrincipal Person me) {
        keep.drop(
                client.value(),
                HousePictures.Role.LOGO,
                "The logo of " + NotFound.unless(directory.find(client)).name(),
                me.actor());
        return "redirect:/t/clients";
    }

    @PostMapping("/t/projects/{project}/cover")
    @ForManagers
    String cover(@PathVariable ProjectId project, @RequestParam MultipartFile file, @AuthenticationPrincipal Person me)
            throws IOException {
        keep(
                project.value(),
                HousePictures.Role.COVER,
                "The cover of " + NotFound.unless(projects.find(project)).fullName(),
                file,
                me);
        return "redirect:/t/projects/" + project + "/about";
    }

    @PostMapping("/t/projects/{project}/cover/drop")
    @ForManagers
    String dropCover(@PathVariable ProjectId project, @AuthenticationPrincipal Person me) {
        keep.drop(
                project.value(),
                HousePictures.Role.COVER,
                "The cover of " + NotFound.unless(projects.find(project)).fullName(),
                me.actor());
        return "redirect:/t/projects/" + project + "/about";
    }

    @ForOutsideMakers
    @GetMapping("/t/you")
    String you(@AuthenticationPrincipal Person.OfTeam me, Model model) {
        model.addAttribute("profile", people.profile(me.memberId()));
        model.addAttribute(
                "face", pictures.find(me.id(), HousePictures.Role.FACE).isPresent());
        return "brand/you";
    }

    @ForOutsideMakers
    @PostMapping("/t/you")
    String reach(
            @RequestParam(defaultValue = "") String phone,
            @RequestParam(defaultValue = "") String reached,
            @AuthenticationPrincipal Person.OfTeam me) {
        Input input = new Input();
        ProjectPeople.Profile profile = new ProjectPeople.Profile(
                input.text("The telephone", phone, LONGEST_PHONE).strip(),
                input.text("When you are reached", reached, LONGEST_REACHED).strip());
        input.allGood();
        people.setProfile(me.memberId(), profile);
        return "redirect:/t/you";
    }

    @ForOutsideMakers
    @PostMapping("/t/you/face")
    String face(@RequestParam MultipartFile file, @AuthenticationPrincipal Person.OfTeam me) throws IOException {
        keep(me.id(), HousePictures.Role.FACE, "The picture of " + me.fullName(), file, me);
        return "redirect:/t/you";
    }

    @ForOutsideMakers
    @PostMapping("/t/you/face/drop")
    String dropFace(@AuthenticationPrincipal Person.OfTeam me) {
        keep.drop(me.id(), HousePictures.Role.FACE, "The picture of " + me.fullName(), me.actor());
        return "redirect:/t/you";
    }

    private void keep(UUID subject, HousePictures.Role role, String of, MultipartFile file, Person me)
            throws IOException {
        keep.keep(
                subject,
                role,
                of,
                Objects.requireNonNullElse(file.getOriginalFilename(), "picture"),
                file.getInputStream(),
                me.actor());
    }
}
