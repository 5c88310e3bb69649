package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.Place;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Project;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.concern.KeepConcern;
import app.clearpane.usecases.deliverable.StoreVersion;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.usecases.files.AddFile;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Puts a random word into everything that is held back, then reads every byte each client can reach. */
class CanaryTest extends DemoHouse {
    private static final Pattern ADDRESS = Pattern.compile("(?:href|src|action|hx-get|data-watch)=\"([^\"]+)\"");
    private static final List<String> ALWAYS_SECRET = List.of(
            "Costs and margins",
            "slow to pay",
            "option B",
            "option C",
            "Alternatives",
            "two metres too far east",
            "paint-samples",
            "ines@marram",
            "teo@marram");

    @Autowired
    private Items items;

    @Autowired
    private ProjectFiles files;

    @Autowired
    private Deliverables deliverables;

    @Autowired
    private Markups markups;

    @Autowired
    private AddFile addFile;

    @Autowired
    private StoreVersion storeVersion;

    @Autowired
    private People people;

    @Autowired
    private Notes notes;

    @Autowired
    private MakeLink makeLink;

    @Autowired
    private Papers papers;

    @Autowired
    private KeepConcern keepConcern;

    private final List<String> canaries = new ArrayList<>();

    private String canary() {
        canaries.add("canary" + UUID.randomUUID().toString().replace("-", ""));
        return canaries.get(canaries.size() - 1);
    }

    private void hide(Project project, Panes.Row board) throws Exception {
        Instant now = clock.instant();
        ItemId folder = addFile.folder(project.id(), canary(), Acting.team("Teo"));
        panes.holdBackEverywhere(folder, Actor.kept("Teo"), now);
        panes.setShowing(
                board.id(), file(project, Optional.of(folder)), new Setting(Showing.SHOWN, Actor.kept("Teo"), now));
        file(project, Optional.empty());
        ItemId deleted = file(project, Optional.empty());
        panes.setShowing(board.id(), deleted, new Setting(Showing.SHOWN, Actor.kept("Teo"), now));
        items.delete(deleted, now);
        ItemId shownLater = file(project, Optional.empty());
        panes.setShowing(board.id(), shownLater, new Setting(Showing.SHOWN, Actor.kept("Teo"), now));
        ItemId day = items.add(project.id(), ContentKind.DATES, canary(), Optional.empty(), now);
        projects.addMilestone(day, LocalDate.of(2027, 5, 24));
        panes.holdBackEverywhere(day, Actor.kept("Teo"), now);
        ItemId secret = items.add(project.id(), ContentKind.DELIVERABLES, canary(), Optional.empty(), now);
        deliverables.add(secret, board.id(), canary(), app.clearpane.core.signoff.SigningTerms.USUAL);
        panes.setShowing(board.id(), secret, new Setting(Showing.HELD_BACK, Actor.kept("Teo"), now));
        Version map = deliverables.versionsOf(project.id()).stream()
                .filter(v -> v.fileName().equals("visitor-map-2.pdf"))
                .findFirst()
                .orElseThrow();
        storeVersion.store(
                map.deliverable(),
                new StoreVersion.Arriving(
                        canary() + ".svg",
                        new ByteArrayInputStream(("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><title>"
                                        + canary() + "</title></svg>")
                                .getBytes(StandardCharsets.UTF_8)),
                        canary()),
                Acting.team("Teo"));
        Mark forTeam = Mark.placed(
                new MarkupId(UUID.randomUUID()),
                map.id(),
                board.id(),
                markups.nextLabel(map, board.id(), true),
                new Place.Point(1, 0.5, 0.5),
                new Mark.Wish(Intent.CHANGE, canary(), Optional.empty()),
                new Actor.Kept("", "Teo"),
                now,
                Mark.Beside.NOTHING);
        markups.add(forTeam);
        keepConcern.add(
                project.id(),
                new KeepConcern.Form(canary(), false, 2, 2, canary(), canary(), "", 0),
                Acting.team("Teo"));
        ContactId ottoline = people.contactAt(new EmailAddress("ottoline@penwether.example"))
                .orElseThrow()
                .id();
        papers.add(new Paper(
                new PaperId(UUID.randomUUID()),
                project.id(),
                PaperKind.INVOICE,
                canary(),
                canary(),
                Optional.empty(),
                LocalDate.of(2027, 3, 1),
                Optional.empty(),
                map.sha256(),
                canary() + ".pdf",
                "application/pdf",
                1,
                Actor.kept("Ines"),
                now,
                new Paper.Draft(),
                List.of(Paper.Recipient.of(ottoline, "Ottoline")),
                1,
                Paper.Further.USUAL));
        TeamMemberId ines = people.credentials(new EmailAddress("ines@marram-finch.example"))
                .orElseThrow()
                .member()
                .id();
        for (UUID subject : List.of(
                project.id().value(),
                map.deliverable().value(),
                people.contactAt(new EmailAddress("ottoline@penwether.example"))
                        .orElseThrow()
                        .id()
                        .value())) {
            notes.add(project.id(), subject, canary(), ines, true, now);
        }
        markups.marksOf(map.deliverable())
                .forEach(mark -> markups.answer(
                        mark.id(), Mark.Answer.said(canaries.get(0), true, new Actor.Kept("", "Teo"), now)));
    }

    private ItemId file(Project project, Optional<ItemId> folder) throws Exception {
        return addFile.add(
                project.id(),
                folder,
                canary() + ".txt",
                new ByteArrayInputStream(canary().getBytes(StandardCharsets.UTF_8)),
                Acting.team("Teo"));
    }

    @Test
    void noClientFindsOne() throws Exception {
        Project project = projects.active().stream()
                .filter(p -> p.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        Panes.Row board = panes.ofProject(project.id()).get(0);
        hide(project, board);
        List<String> forOthers = List.of(
                "Saltgrass", "Hob &amp; Barley", "Ellerby", "Fabricators", "Garrow", "dov@garrow", "Floor poured");
        List<String> notOttolines = Stream.concat(forOthers.stream(), Stream.of("Invoice 2 of 4", "Proposal for the"))
                .toList();
        String passerBy = makeLink.make(
                        panes.ofProject(project.id()).get(1).id(),
                        new MakeLink.Form("Passer-by", false, "", ""),
                        Acting.team("Ines"))
                .address();
        List<Callable<Integer>> crawls = crawlsOfEverybody(forOthers, notOttolines, passerBy);
        int read = Together.all(crawls).stream().mapToInt(Integer::intValue).sum();
        assertThat(read).isGreaterThan(120);
        mails();
    }

    private List<Callable<Integer>> crawlsOfEverybody(
            List<String> forOthers, List<String> notOttolines, String passerBy) throws Exception {
        List<Callable<Integer>> crawls = new ArrayList<>();
        crawls.add(() -> crawl(linkOf("ottoline@penwether.example"), forOthers));
        for (String contact : List.of("jasper", "mirela", "per")) {
            crawls.add(() -> crawl(linkOf(contact + "@penwether.example"), notOttolines));
        }
        crawls.add(() -> crawl(
                linkOf("dov@garrow.example"),
                List.of(
                        "Saltgrass",
                        "Identity mark",
                        "Visitor map",
                        "The board",
                        "Mirela",
                        "Jasper",
                        "Invoice 2",
                        "Contract for")));
        crawls.add(() -> crawl(
                passerBy,
                List.of(
                        "Saltgrass",
                        "Identity mark",
                        "The board",
                        "Mirela",
                        "Dov",
                        "Passer-by",
                        "Invoice 2",
                        "Contract for")));
        crawls.add(() -> crawl(linkOf("imre@hobandbarley.example"), List.of("Penwether", "Saltgrass", "Ellerby")));
        return crawls;
    }

    private int crawl(String link, List<String> forOthers) throws Exception {
        Visitor visitor = Visitor.by(address(), link);
        Deque<String> toRead = new ArrayDeque<>(
                List.of("/c", "/c/panes/" + UUID.randomUUID(), "/c/nothing", "/nothing", "/t", "/error"));
        Set<String> known = new LinkedHashSet<>(toRead);
        while (!toRead.isEmpty()) {
            String path = toRead.poll();
            HttpResponse<String> response = visitor.get(path);
            String all = response.headers().map() + "\n" + response.body();
            assertThat(all)
                    .as(path)
                    .doesNotContain(canaries.toArray(String[]::new))
                    .doesNotContain(ALWAYS_SECRET.toArray(String[]::new))
                    .doesNotContain(forOthers.toArray(String[]::new));
            response.headers().firstValue("Location").ifPresent(location -> enqueue(location, toRead, known));
            Matcher addresses = ADDRESS.matcher(response.body());
            while (addresses.find()) {
                enqueue(addresses.group(1).replace("&amp;", "&"), toRead, known);
            }
        }
        return known.size();
    }

    private static void enqueue(String address, Deque<String> toRead, Set<String> known) {
        String path = address.replace(address(), "").replaceAll("#.*$", "");
        if (path.startsWith("/")
                && !path.matches("/(webjars|vendor|css|js|fonts|art|p)/.*|/sign-out.*|/post-room.*|/favicon.*")
                && known.add(path)) {
            toRead.add(path);
        }
    }

    /** Mails to clients say no more than their pages. */
    private void mails() throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (!mail.getAllRecipients()[0].toString().contains("marram-finch")) {
                ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                mail.writeTo(bytes);
                assertThat(bytes.toString(StandardCharsets.UTF_8))
                        .doesNotContain(canaries.toArray(String[]::new))
                        .doesNotContain("slow to pay", "Costs and margins");
            }
        }
    }

    @Test
    void whatIsNotTheirsLooksLikeWhatIsNotThere() throws Exception {
        Project project = projects.active().stream()
                .filter(p -> p.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow();
        Panes.Row board = panes.ofProject(project.id()).get(0);
        String secret = files.ofProject(project.id()).stream()
                .filter(f -> f.name().equals("Costs and margins.csv"))
                .findFirst()
                .orElseThrow()
                .id()
                .toString();
        Visitor per = Visitor.by(address(), linkOf("per@penwether.example"));
        HttpResponse<String> held = per.get("/c/panes/" + board.id() + "/files/" + secret + "/content");
        HttpResponse<String> absent = per.get("/c/panes/" + board.id() + "/files/" + UUID.randomUUID() + "/content");
        HttpResponse<String> noSuchPane = per.get("/c/panes/" + UUID.randomUUID() + "/files/" + secret);
        assertThat(List.of(held.statusCode(), absent.statusCode(), noSuchPane.statusCode()))
                .containsOnly(404);
        assertThat(held.body())
                .contains("There is nothing here")
                .isEqualTo(absent.body())
                .isEqualTo(noSuchPane.body());
        assertThat(held.headers().map().keySet())
                .isEqualTo(absent.headers().map().keySet());
    }
}
