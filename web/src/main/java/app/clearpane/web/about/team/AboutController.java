package app.clearpane.web.about.team;

import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.ProjectWords;
import app.clearpane.usecases.about.SayOfProject;
import app.clearpane.usecases.project.NamePeople;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a project says of itself, and who reads it. */
@TeamController
class AboutController {
    private final ProjectFrame frame;
    private final ProjectWords words;
    private final StatusReaders readers;
    private final SayOfProject say;
    private final NamePeople namePeople;
    private final ProjectPeople onProject;
    private final HousePictures pictures;

    AboutController(
            ProjectFrame frame,
            ProjectWords words,
            StatusReaders readers,
            SayOfProject say,
            NamePeople namePeople,
            ProjectPeople onProject,
            HousePictures pictures) {
        this.frame = frame;
        this.words = words;
        this.readers = readers;
        this.say = say;
        this.namePeople = namePeople;
        this.onProject = onProject;
        this.pictures = pictures;
    }

    @ForOutsideMakers
    @GetMapping("/t/projects/{project}/about")
    String all(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "About");
        model.addAttribute("parts", words.partsOf(project));
        model.addAttribute("said", words.said(project));
        model.addAttribute("readers", readers.readersOf(project));
        model.addAttribute("saysToClient", onProject.saysToClient(project));
        model.addAttribute("hoursShown", onProject.hoursShown(project));
        model.addAttribute(
                "coverPicture",
                pictures.find(project.value(), HousePictures.Role.COVER).isPresent());
        return "about/all";
    }

    @PostMapping("/t/projects/{project}/about/{part}")
    @ForManagers
    String write(
            @PathVariable ProjectId project,
            @PathVariable AboutPart part,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "false") boolean shown,
            @RequestParam int revision,
            @AuthenticationPrincipal Person me) {
        say.write(project, part, words, shown, revision, me.actor());
        return back(project);
    }

    @PostMapping("/t/projects/{project}/says")
    @ForManagers
    String says(@PathVariable ProjectId project, @RequestParam boolean toClient, @AuthenticationPrincipal Person me) {
        namePeople.sayToClient(project, toClient, me.actor());
        return back(project);
    }

    @PostMapping("/t/projects/{project}/hours-shown")
    @ForManagers
    String showHours(@PathVariable ProjectId project, @RequestParam boolean shown, @AuthenticationPrincipal Person me) {
        namePeople.showHours(project, shown, me.actor());
        return back(project);
    }

    @PostMapping("/t/projects/{project}/said")
    @ForManagers
    String say(
            @PathVariable ProjectId project,
            @RequestParam(defaultValue = "") String said,
            @RequestParam(defaultValue = "false") boolean shown,
            @AuthenticationPrincipal Person me) {
        say.say(project, said, shown, me.actor());
        return back(project);
    }

    @PostMapping("/t/said/{said}/shown")
    @ForManagers
    String show(@PathVariable UUID said, @RequestParam boolean shown, @AuthenticationPrincipal Person me) {
        return back(say.show(said, shown, me.actor()));
    }

    private static String back(ProjectId project) {
        return "redirect:/t/projects/" + project + "/about";
    }
}
