package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
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
import java.util.List;
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

    /** What Grete put to a note of hers: a picture of an ear of wheat, and words. */
    private List<Mark.Attachment> attached(Version version, String note) throws Exception {
        Visitor grete = grete();
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("mill-ear.png", png());
        files.put("../mill-words.txt", "Stone-ground".getBytes(StandardCharsets.UTF_8));
        assertThat(grete.attach(marksOf(version), grete.token(), note(note, "client"), files)
                        .statusCode())
                .isEqualTo(302);
        return noted(version.deliverable(), note).beside().with().attachments();
    }

    @Test
    void picturesAndFilesComeWithANoteAndAreKeptWithTheHouse() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Bag with files", "ALL"));
        List<Mark.Attachment> attached = attached(version, "Like this ear");
        assertThat(attached).extracting(Mark.Attachment::name).containsExactly("mill-ear.png", "mill-words.txt");
        assertThat(attached).extracting(Mark.Attachment::picture).containsExactly(true, false);
        assertThat(projectFiles.named())
                .as("verified with the house")
                .contains(attached.get(1).sha256());
        assertThat(lines.linesOf(mill(), version.deliverable().value()))
                .contains("mill-words.txt (" + attached.get(1).sha256().hex() + ")");
    }

    @Test
    void whatCameWithANoteIsSeenByWhoeverSeesTheNote() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Bag with pictures", "ALL"));
        List<Mark.Attachment> attached = attached(version, "Like that ear");
        String base = "/c/panes/" + pane().id() + "/attachments/";
        String words = attached.get(1).id().toString();
        assertThat(imre().get(at(version)).body())
                .contains(base + attached.get(0).id(), "mill-words.txt");
        assertThat(imre().get(base + words).body()).isEqualTo("Stone-ground");
        assertThat(ines().get("/t/attachments/" + words).body()).isEqualTo("Stone-ground");
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
    }

    @Test
    void onlyPicturesAreShownInTheirPlaceAndThoseLockedUp() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Bag with an ear", "ALL"));
        List<Mark.Attachment> attached = attached(version, "An ear");
        String base = "/c/panes/" + pane().id() + "/attachments/";
        HttpResponse<String> shown = grete().get(base + attached.get(0).id() + "?look=true");
        assertThat(shown.headers().firstValue("Content-Type")).hasValue("image/png");
        assertThat(shown.headers().firstValue("Content-Security-Policy").orElseThrow())
                .startsWith("sandbox");
        assertThat(imre().get(base + attached.get(1).id() + "?look=true")
                        .headers()
                        .firstValue("Content-Disposition")
                        .orElseThrow())
                .as("what is no picture is never shown in its place")
                .startsWith("attachment");
    }

    private int got(Visitor who, Mark.With with) throws Exception {
        return who.get("/c/panes/" + pane().id() + "/attachments/"
                        + with.attachments().get(0).id())
                .statusCode();
    }

    @Test
    void whatCameWithANoteForTheTeamStaysWithTheTeam() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Bag for us", "ALL"));
        ines.attach(
                "/t/versions/" + version.id() + "/marks",
                ines.token(),
                note("Only ours @Imre", "team"),
                Map.of("mill-ours.txt", new byte[] {65}));
        Mark ours = noted(version.deliverable(), "Only ours");
        assertThat(got(grete(), ours.beside().with())).isEqualTo(404);
        assertThat(ours.beside().with().references())
                .as("no client is called in what is for the team")
                .isEmpty();
        assertThat(grete().get(at(version)).body()).doesNotContain("mill-ours");
        assertThat(lines.linesOf(mill(), version.deliverable().value()))
                .as("what leaves the house")
                .doesNotContain("Only ours", "mill-ours");
    }

    @Test
    void whatCameWithAnAnswerForTheTeamStaysWithTheTeam() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Bag answered", "ALL"));
        Visitor grete = grete();
        grete.post(marksOf(version), grete.token(), note("A question", "client"));
        Mark question = noted(version.deliverable(), "A question");
        String answers = "/t/marks/" + question.id() + "/answers";
        String rest = "&act=&revision=1&on=" + version.id();
        Map<String, String> forUs = Visitor.fields("said=Between us&audience=team" + rest);
        ines.attach(answers, ines.token(), forUs, Map.of("mill-between.txt", new byte[] {66}));
        ines.attach(answers, ines.token(), Visitor.fields("said=" + rest), Map.of("mill-answer.txt", new byte[] {67}));
        List<Mark.Answer> answered = markups.find(question.id()).orElseThrow().answers();
        assertThat(answered)
                .extracting(answer -> answer.with().attachments().get(0).name())
                .containsExactly("mill-between.txt", "mill-answer.txt");
        assertThat(got(grete, answered.get(0).with())).isEqualTo(404);
        assertThat(got(grete, answered.get(1).with())).isEqualTo(200);
        assertThat(grete.get(at(version)).body()).contains("mill-answer.txt").doesNotContain("mill-between");
        assertThat(lines.linesOf(mill(), version.deliverable().value()))
                .as("what leaves the house")
                .doesNotContain("Between us", "mill-between")
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
    void onlyThoseWhomWhoeverWritesKnowsAreOffered() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Bag that offers", "ALL"));
        assertThat(grete().get(at(version) + "/names?q=@im").body()).isEqualTo("[\"@Imre Vadas\"]");
        assertThat(grete().get(at(version) + "/names?q=@wan").body())
                .as("somebody they never met")
                .isEqualTo("[]");
        assertThat(ines.get("/t/versions/" + version.id() + "/names?q=@").body())
                .contains("@Teo Brandt", "@Imre Vadas", "@Grete")
                .doesNotContain("@Ottoline");
        assertThat(ines.get("/t/versions/" + version.id() + "/names?q=nothing").body())
                .isEqualTo("[]");
    }

    private List<String> called(Mark mark) {
        return markups.find(mark.id()).orElseThrow().beside().with().references().stream()
                .map(Mark.Reference::written)
                .toList();
    }

    @Test
    void whoeverIsCalledByNameGetsAMailOnce() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Bag that calls", "ALL"));
        Visitor grete = grete();
        String words = "Ask @ines and @Imre Vadas, not grete@hob.example nor @Wanda";
        grete.post(marksOf(version), grete.token(), note(words, "client"));
        Mark mark = noted(version.deliverable(), "Ask");
        assertThat(called(mark)).containsExactly("@ines", "@Imre Vadas");
        await().until(() -> mailsAbout("ines@marram-finch.example", "asks for you: Bag that calls") == 1
                && mailsAbout("imre@hobandbarley.example", "asks for you: Bag that calls") == 1);
        grete.sends(
                "/c/panes/" + pane().id() + "/marks/" + mark.id() + "/edit",
                "note=Ask @Imre Vadas please&intent=QUESTION&revision=1&on=" + version.id());
        assertThat(called(mark)).containsExactly("@Imre Vadas");
        assertThat(mailsAbout("imre@hobandbarley.example", "asks for you: Bag that calls"))
                .as("told already")
                .isEqualTo(1);
        assertThat(imre().get(at(version)).body()).contains("<b class=\"called\">@Imre Vadas</b>");
    }

    private void hide(ItemId item) {
        panes.setShowing(pane().id(), item, new Setting(Showing.HELD_BACK, Actor.kept("Ines"), clock.instant()));
    }

    @Test
    void aThingIsLinkedForThoseWhoSeeIt() throws Exception {
        Visitor ines = ines();
        Version version = sent(ines, deliverable(ines, "Bag that links", "ALL"));
        Version seen = sent(ines, deliverable(ines, "Bag linked to", "ALL"));
        ItemId hidden = deliverable(ines, "Bag that is hidden", "ALL");
        hide(hidden);
        ines.post(
                "/t/versions/" + version.id() + "/marks",
                ines.token(),
                note("As on #bag linked to; not on #Bag that is hidden", "client"));
        assertThat(noted(version.deliverable(), "As on").beside().with().references())
                .extracting(Mark.Reference::called)
                .containsExactly(new Mark.Called.Thing(seen.deliverable()), new Mark.Called.Thing(hidden));
        assertThat(grete().get(at(version)).body())
                .contains("<a class=\"called\" href=\"" + at(seen) + "\">#bag linked to</a>")
                .doesNotContain(hidden.toString());
        assertThat(ines.get("/t/versions/" + version.id() + "/light-table").body())
                .contains("href=\"/t/deliverables/" + hidden + "\">#Bag that is hidden</a>");
        assertThat(grete().get(at(version) + "/names?q=%23bag%20that").body())
                .contains("#Bag that links")
                .doesNotContain("hidden");
    }
}
