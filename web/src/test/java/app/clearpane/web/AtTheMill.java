package app.clearpane.web;

import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import jakarta.mail.internet.MimeMessage;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Callable;
import org.springframework.beans.factory.annotation.Autowired;

/** The flour bags, on which tests make deliverables of their own: Imre speaks for the mill, Grete signs too. */
public abstract class AtTheMill extends DemoHouse {
    @Autowired
    protected Deliverables deliverables;

    protected ProjectId mill() {
        return projects.active().stream()
                .filter(project -> project.name().equals("Flour bags"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    protected Panes.Row pane() {
        return panes.ofProject(mill()).get(0);
    }

    protected Visitor ines() throws Exception {
        return Visitor.by(address(), linkOfTeam("ines@marram-finch.example"));
    }

    /** A file of the demo; texts do not name another client, whom nobody at the mill may read of. */
    protected static byte[] demoFile(String name) throws Exception {
        try (InputStream in = Objects.requireNonNull(AtTheMill.class.getResourceAsStream("/demo-files/" + name))) {
            byte[] bytes = in.readAllBytes();
            return name.endsWith(".md")
                    ? new String(bytes, java.nio.charset.StandardCharsets.UTF_8)
                            .replace("Penwether", "The mill")
                            .getBytes(java.nio.charset.StandardCharsets.UTF_8)
                    : bytes;
        }
    }

    protected HttpResponse<String> upload(Visitor ines, ItemId deliverable) throws Exception {
        return upload(ines, deliverable, "flour-spelt-1.pdf");
    }

    protected HttpResponse<String> upload(Visitor ines, ItemId deliverable, String file) throws Exception {
        byte[] bytes = demoFile(file);
        return ines.upload(
                "/t/deliverables/" + deliverable + "/versions",
                ines.token(),
                "mill-" + file,
                () -> new java.io.ByteArrayInputStream(bytes),
                Map.of("whatChanged", "words that were typed"));
    }

    protected ItemId deliverable(Visitor ines, String name, String rule) throws Exception {
        ines.post(
                "/t/projects/" + mill() + "/deliverables",
                ines.token(),
                Map.of("name", name, "pane", pane().id().toString(), "about", "", "rule", rule, "reviewDays", "3"));
        return deliverables.ofProject(mill()).stream()
                .filter(one -> one.name().equals(name))
                .map(Deliverable::id)
                .findFirst()
                .orElseThrow();
    }

    protected Version sent(Visitor ines, ItemId deliverable) throws Exception {
        return sent(ines, deliverable, "flour-spelt-1.pdf");
    }

    protected Version sent(Visitor ines, ItemId deliverable, String file) throws Exception {
        upload(ines, deliverable, file);
        Version draft = deliverables.versions(deliverable).stream()
                .filter(Version::draft)
                .findFirst()
                .orElseThrow();
        ines.post("/t/versions/" + draft.id() + "/send", ines.token(), Map.of());
        return deliverables.version(draft.id()).orElseThrow();
    }

    /** Where a version is looked at by its clients. */
    protected String at(Version version) {
        return "/c/panes/" + pane().id() + "/versions/" + version.id();
    }

    /** A mark on the first sheet, a tenth of it wide, as a client leaves it. */
    protected HttpResponse<String> marks(Visitor who, Version version, String intent, String note, double at)
            throws Exception {
        Map<String, String> form = new HashMap<>(Map.of("page", "1", "shape", "RECTANGLE", "audience", "client"));
        form.putAll(Map.of("x1", "" + at, "y1", "" + at, "x2", "0.1", "y2", "0.1"));
        form.putAll(Map.of("intent", intent, "note", note));
        return who.post(at(version) + "/marks", who.token(), form);
    }

    protected Callable<HttpResponse<String>> deciding(Visitor who, Version version, String decision) throws Exception {
        String token = who.token();
        return () -> who.post(
                "/c/panes/" + pane().id() + "/versions/" + version.id() + "/decisions",
                token,
                Map.of(
                        "decision",
                        decision,
                        "sha256",
                        version.sha256().hex(),
                        "sentence",
                        decision.equals("SIGN_OFF") ? "" : "as it should be",
                        "typedName",
                        "Signed",
                        "sure",
                        "true"));
    }

    protected Round round(ItemId deliverable) {
        List<Round> rounds = deliverables.rounds(deliverable);
        return rounds.get(rounds.size() - 1);
    }

    /** How many mails somebody got whose subject has these words in it. */
    protected long mailsAbout(String address, String words) throws Exception {
        long found = 0;
        for (MimeMessage mail : world.getReceivedMessages()) {
            found += mail.getAllRecipients()[0].toString().contains(address)
                            && mail.getSubject().contains(words)
                    ? 1
                    : 0;
        }
        return found;
    }

    /** Waits for the one mail that somebody gets whose subject has these words in it. */
    protected void mailArrives(String address, String words) {
        await().until(() -> mailsAbout(address, words) == 1);
    }

    protected Visitor imre() throws Exception {
        return Visitor.by(address(), linkOf("imre@hobandbarley.example"));
    }

    protected Visitor grete() throws Exception {
        return Visitor.by(address(), linkOf("grete@hobandbarley.example"));
    }
}
