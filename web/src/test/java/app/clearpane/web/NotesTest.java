package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.people.Actor;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.record.RecordLines;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What comes with notes: files, and people and things that are called by name. */
class NotesTest extends AtTheMill {
    @Autowired
    private Markups markups;

    @Autowired
    private ProjectFiles projectFiles;

    @Autowired
    private RecordLines lines;

    private static final Map<String, String> AT = Map.of(
            "page",
            "1",
            "shape",
            "POINT",
            "x1",
            "0.4",
            "y1",
            "0.4",
            "x2",
            "0",
            "y2",
            "0",
            "intent",
            "QUESTION",
            "audience",
            "client");

    private static byte[] png() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static Map<String, String> note(String note, String audience) {
        Map<String, String> form = new HashMap<>(AT);
        form.put("note", note);
        form.put("audience", audience);
        return form;
    }

    private String marksOf(Version version) {
        return "/c/panes/" + pane().id() + "/versions/" + version.id() + "/marks";
    }

    private Mark noted(ItemId deliverable, String begins) {
        return markups.marksOf(deliverable).stream()
                .filter(mark -> mark.note().startsWith(begins))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void picturesAndFilesComeWithANoteAndAreSeenByWhoeverSeesIt() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag with pictures", "ALL");
        Version version = sent(ines, bag);
        Visitor grete = grete();
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("mill-ear.png", png());
        files.put("../mill-words.txt", "Stone-ground".getBytes(StandardCharsets.UTF_8));
        assertThat(grete.attach(marksOf(version), grete.token(), note("Like this ear", "client"), files)
                        .statusCode())
                .isEqualTo(302);
        Mark mark = noted(bag, "Like this ear");
        assertThat(mark.beside().with().attachments())
                .extracting(Mark.Attachment::name)
                .containsExactly("mill-ear.png", "mill-words.txt");
        assertThat(mark.beside().with().attachments())
                .extracting(Mark.Attachment::picture)
                .containsExactly(true, false);
        assertThat(projectFiles.named())
                .as("verified with the house")
                .contains(mark.beside().with().attachments().get(1).sha256());
        String base = "/c/panes/" + pane().id() + "/attachments/";
        String picture = mark.beside().with().attachments().get(0).id().toString();
        String words = mark.beside().with().attachments().get(1).id().toString();
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains(base + picture, "mill-words.txt");
        assertThat(imre().get(base + words).body()).isEqualTo("Stone-ground");
        HttpResponse<String> shown = grete.get(base + picture + "?look=true");
        assertThat(shown.headers().firstValue("Content-Type")).hasValue("image/png");
        assertThat(shown.headers().firstValue("Content-Security-Policy").orElseThrow())
                .startsWith("sandbox");
        assertThat(imre().get(base + words + "?look=true")
                        .headers()
                        .firstValue("Content-Disposition")
                        .orElseThrow())
                .as("what is no picture is never shown in its place")
                .startsWith("attachment");
        assertThat(ines.get("/t/attachments/" + words).body()).isEqualTo("Stone-ground");
        Visitor jasper = Visitor.by(address(), linkOf("jasper@penwether.example"));
        Panes.Row board = panes.ofProject(projects.active().stream()
                        .filter(one -> one.name().equals("Visitor centre"))
                        .findFirst()
                        .orElseThrow()
                        .id())
                .get(0);
        assertThat(jasper.get("/c/panes/" + board.id() + "/attachments/" + words)
                        .statusCode())
                .isEqualTo(404);
        assertThat(lines.linesOf(mill(), bag.value()))
                .contains("mill-words.txt ("
                        + mark.beside().with().attachments().get(1).sha256().hex() + ")");
    }

    @Test
    void whatCameWithWordsForTheTeamStaysWithTheTeam() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag for us", "ALL");
        Version version = sent(ines, bag);
        ines.attach(
                "/t/versions/" + version.id() + "/marks",
                ines.token(),
                note("Only ours @Imre", "team"),
                Map.of("mill-ours.txt", new byte[] {65}));
        Visitor grete = grete();
        grete.post(marksOf(version), grete.token(), note("A question", "client"));
        Mark question = noted(bag, "A question");
        ines.attach(
                "/t/marks/" + question.id() + "/answers",
                ines.token(),
                Map.of(
                        "said",
                        "Between us",
                        "audience",
                        "team",
                        "act",
                        "",
                        "revision",
                        "1",
                        "on",
                        version.id().toString()),
                Map.of("mill-between.txt", new byte[] {66}));
        ines.attach(
                "/t/marks/" + question.id() + "/answers",
                ines.token(),
                Map.of(
                        "said",
                        "",
                        "act",
                        "",
                        "revision",
                        "1",
                        "on",
                        version.id().toString()),
                Map.of("mill-answer.txt", new byte[] {67}));
        Mark answered = markups.find(question.id()).orElseThrow();
        assertThat(answered.answers())
                .extracting(answer -> answer.with().attachments().get(0).name())
                .containsExactly("mill-between.txt", "mill-answer.txt");
        String base = "/c/panes/" + pane().id() + "/attachments/";
        assertThat(grete().get(base
                                + noted(bag, "Only ours")
                                        .beside()
                                        .with()
                                        .attachments()
                                        .get(0)
                                        .id())
                        .statusCode())
                .isEqualTo(404);
        assertThat(grete().get(base
                                + answered.answers()
                                        .get(0)
                                        .with()
                                        .attachments()
                                        .get(0)
                                        .id())
                        .statusCode())
                .isEqualTo(404);
        assertThat(grete().get(base
                                + answered.answers()
                                        .get(1)
                                        .with()
                                        .attachments()
                                        .get(0)
                                        .id())
                        .body())
                .isEqualTo("C");
        assertThat(grete().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains("mill-answer.txt")
                .doesNotContain("mill-between", "mill-ours");
        assertThat(noted(bag, "Only ours").beside().with().references())
                .as("no client is called in what is for the team")
                .isEmpty();
        assertThat(lines.linesOf(mill(), bag.value()))
                .as("what leaves the house")
                .doesNotContain("Only ours", "Between us", "mill-ours", "mill-between")
                .contains("A question");
    }

    @Test
    void whatCannotComeAlongIsSaidAndNothingIsKept() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag refused", "ALL");
        Version version = sent(ines, bag);
        Visitor grete = grete();
        HttpResponse<String> empty = grete.attach(
                marksOf(version), grete.token(), note("Look", "client"), Map.of("mill-nothing.png", new byte[0]));
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("is empty: it has 0 bytes");
        Map<String, byte[]> many = new LinkedHashMap<>();
        for (int i = 0; i < 11; i++) {
            many.put("mill-" + i + ".txt", new byte[] {1});
        }
        assertThat(grete.attach(marksOf(version), grete.token(), note("Look", "client"), many)
                        .body())
                .contains("Up to 10 files go with one note");
        assertThat(markups.marksOf(bag)).isEmpty();
        assertThat(grete.attach(marksOf(version), grete.token(), note("Look", "client"), Map.of("", new byte[0]))
                        .statusCode())
                .as("a field left empty")
                .isEqualTo(302);
    }

    @Test
    void whoeverIsCalledByNameGetsAMailOnce() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag that calls", "ALL");
        Version version = sent(ines, bag);
        Visitor grete = grete();
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + version.id() + "/names?q=@im")
                        .body())
                .isEqualTo("[\"@Imre Vadas\"]");
        assertThat(grete.get("/c/panes/" + pane().id() + "/versions/" + version.id() + "/names?q=@wan")
                        .body())
                .as("somebody they never met")
                .isEqualTo("[]");
        assertThat(ines.get("/t/versions/" + version.id() + "/names?q=@").body())
                .contains("@Teo Brandt", "@Imre Vadas", "@Grete")
                .doesNotContain("@Ottoline");
        assertThat(ines.get("/t/versions/" + version.id() + "/names?q=nothing").body())
                .isEqualTo("[]");
        grete.post(
                marksOf(version),
                grete.token(),
                note("Ask @ines and @Imre Vadas, not grete@hob.example nor @Wanda", "client"));
        Mark mark = noted(bag, "Ask");
        assertThat(mark.beside().with().references())
                .extracting(Mark.Reference::written)
                .containsExactly("@ines", "@Imre Vadas");
        await().until(() -> mailsAbout("ines@marram-finch.example", "asks for you: Bag that calls") == 1
                && mailsAbout("imre@hobandbarley.example", "asks for you: Bag that calls") == 1);
        grete.post(
                "/c/panes/" + pane().id() + "/marks/" + mark.id() + "/edit",
                grete.token(),
                Map.of(
                        "note",
                        "Ask @Imre Vadas please",
                        "intent",
                        "QUESTION",
                        "revision",
                        "1",
                        "on",
                        version.id().toString()));
        assertThat(markups.find(mark.id()).orElseThrow().beside().with().references())
                .extracting(Mark.Reference::written)
                .containsExactly("@Imre Vadas");
        assertThat(mailsAbout("imre@hobandbarley.example", "asks for you: Bag that calls"))
                .as("told already")
                .isEqualTo(1);
        assertThat(imre().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                        .body())
                .contains("<b class=\"called\">@Imre Vadas</b>");
    }

    @Test
    void aThingIsLinkedForThoseWhoSeeIt() throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, "Bag that links", "ALL");
        Version version = sent(ines, bag);
        ItemId other = deliverable(ines, "Bag linked to", "ALL");
        Version seen = sent(ines, other);
        ItemId hidden = deliverable(ines, "Bag that is hidden", "ALL");
        panes.setShowing(
                pane().id(),
                hidden,
                new app.clearpane.core.exposure.Setting(
                        app.clearpane.core.exposure.Showing.HELD_BACK, Actor.kept("Ines"), clock.instant()));
        ines.post(
                "/t/versions/" + version.id() + "/marks",
                ines.token(),
                note("As on #bag linked to; not on #Bag that is hidden", "client"));
        assertThat(noted(bag, "As on").beside().with().references())
                .extracting(Mark.Reference::called)
                .containsExactly(new Mark.Called.Thing(other), new Mark.Called.Thing(hidden));
        String client = grete().get("/c/panes/" + pane().id() + "/versions/" + version.id())
                .body();
        assertThat(client)
                .contains("<a class=\"called\" href=\"/c/panes/" + pane().id() + "/versions/" + seen.id()
                        + "\">#bag linked to</a>")
                .doesNotContain(hidden.toString());
        assertThat(ines.get("/t/versions/" + version.id() + "/light-table").body())
                .contains("href=\"/t/deliverables/" + hidden + "\">#Bag that is hidden</a>");
        assertThat(grete().get("/c/panes/" + pane().id() + "/versions/" + version.id() + "/names?q=%23bag%20that")
                        .body())
                .contains("#Bag that links")
                .doesNotContain("hidden");
    }
}
