package app.clearpane.web.clients.team;

import app.clearpane.core.agency.Card;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Relation;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.agency.CardFile;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.usecases.clients.KeepClient;
import app.clearpane.usecases.clients.PlanProspect;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All clients with their people. */
@TeamController
class ClientsController {
    static final String PAGE = "redirect:/t/clients";
    static final int LARGEST = 4_000_000;
    private final Directory directory;
    private final KeepClient keep;
    private final PlanProspect planProspect;
    private final HouseHabits habits;
    private final HousePictures pictures;
    private final OwnThings own;
    private final TeamSight sight;

    ClientsController(
            Directory directory,
            KeepClient keep,
            PlanProspect planProspect,
            HouseHabits habits,
            HousePictures pictures,
            OwnThings own,
            TeamSight sight) {
        this.directory = directory;
        this.keep = keep;
        this.planProspect = planProspect;
        this.habits = habits;
        this.pictures = pictures;
        this.own = own;
        this.sight = sight;
    }

    @GetMapping("/t/clients")
    String all(
            @RequestParam(defaultValue = "") String relation,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String q,
            Model model) {
        List<Directory.Entry> all = seen(directory.all());
        Set<UUID> logos = pictures.with(HousePictures.Role.LOGO);
        Map<Relation, Long> counts = new EnumMap<>(Relation.class);
        all.forEach(entry -> counts.merge(entry.relation(), 1L, Long::sum));
        String words = q.strip().toLowerCase(Locale.ROOT);
        model.addAttribute(
                "all",
                all.stream()
                        .filter(entry ->
                                relation.isEmpty() || entry.relation().name().equals(relation))
                        .filter(entry -> step.isEmpty() || entry.ahead().step().equals(step))
                        .map(entry -> found(entry, words))
                        .filter(entry -> words.isEmpty() || !entry.people().isEmpty() || has(entry.name(), words))
                        .toList());
        model.addAttribute("relationCounts", counts);
        model.addAttribute("many", all.size());
        model.addAttribute("needed", keep.needed(all));
        model.addAttribute(
                "logos",
                all.stream()
                        .map(Directory.Entry::id)
                        .filter(id -> logos.contains(id.value()))
                        .collect(Collectors.toSet()));
        model.addAttribute("phones", own.phones());
        model.addAttribute("faces", pictures.with(HousePictures.Role.FACE));
        model.addAttribute("askForgetting", own.askForgetting());
        model.addAttribute("steps", habits.prospectSteps());
        model.addAttribute("step", step);
        model.addAttribute("relations", Relation.values());
        model.addAttribute("relation", relation);
        model.addAttribute("q", q);
        return "clients/list";
    }

    /** The same without projects that are not there for whoever looks. */
    private List<Directory.Entry> seen(List<Directory.Entry> all) {
        Set<ProjectId> hidden = sight.hidden();
        return hidden.isEmpty()
                ? all
                : all.stream()
                        .map(entry -> new Directory.Entry(
                                entry.id(),
                                entry.name(),
                                entry.relation(),
                                entry.ahead(),
                                entry.projects().stream()
                                        .filter(one -> !hidden.contains(one.id()))
                                        .toList(),
                                entry.people().stream()
                                        .map(one -> new Directory.Someone(
                                                one.id(),
                                                one.name(),
                                                one.email(),
                                                one.occupation(),
                                                one.leftAt(),
                                                one.seats().stream()
                                                        .filter(seat -> !hidden.contains(seat.project()))
                                                        .toList()))
                                        .toList()))
                        .toList();
    }

    /** A client with those of its people who are looked for; with all of them if it is looked for itself. */
    private static Directory.Entry found(Directory.Entry entry, String words) {
        return words.isEmpty() || has(entry.name(), words)
                ? entry
                : new Directory.Entry(
                        entry.id(),
                        entry.name(),
                        entry.relation(),
                        entry.ahead(),
                        entry.projects(),
                        entry.people().stream()
                                .filter(one -> has(one.name() + " " + one.email() + " " + one.occupation(), words))
                                .toList());
    }

    private static boolean has(String text, String words) {
        return text.toLowerCase(Locale.ROOT).contains(words);
    }

    @GetMapping("/t/clients/people.vcf")
    ResponseEntity<byte[]> vcards() {
        return file(CardFile.vcards(cards()), "people.vcf", "text/vcard");
    }

    @GetMapping("/t/clients/people.csv")
    ResponseEntity<byte[]> table() {
        return file(CardFile.csv(cards()), "people.csv", "text/csv");
    }

    private List<Card> cards() {
        return directory.all().stream()
                .flatMap(entry -> entry.people().stream()
                        .filter(one -> one.leftAt() == null)
                        .map(one -> new Card(entry.name(), one.name(), one.email(), one.occupation())))
                .toList();
    }

    static ResponseEntity<byte[]> file(String text, String name, String type) {
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.parseMediaType(type), StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    @PostMapping("/t/clients/{client}/relation")
    @ForManagers
    String relate(@PathVariable ClientId client, @RequestParam Relation relation, @AuthenticationPrincipal Person me) {
        keep.relate(client, relation, me.actor());
        return PAGE;
    }

    @PostMapping("/t/clients/{client}/next")
    @ForManagers
    String plan(
            @PathVariable ClientId client,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String move,
            @RequestParam(defaultValue = "") String on,
            @AuthenticationPrincipal Person me) {
        planProspect.plan(client, step, move, on, me.actor());
        return PAGE + "?relation=PROSPECT";
    }

    @PostMapping("/t/clients/{client}/name")
    @ForManagers
    String rename(
            @PathVariable ClientId client,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal Person me) {
        keep.rename(client, name, me.actor());
        return PAGE;
    }
}
