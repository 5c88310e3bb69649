package app.clearpane.web.supply;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.store.agency.People;
import app.clearpane.store.supply.Requests;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.springframework.beans.factory.annotation.Autowired;

/** The mill is asked for things: Imre is, and Grete where it is said. */
abstract class AtARequest extends AtTheMill {
    @Autowired
    Requests requests;

    @Autowired
    private People people;

    /** A request to Imre that was sent. @param wanted its lines, between | */
    Request asks(String wanted) throws Exception {
        Request draft = drafts(wanted, "");
        ines().sends("/t/requests/" + draft.id() + "/send", "");
        return now(draft);
    }

    Request drafts(String wanted, String folder) throws Exception {
        return drafts(wanted, folder, "");
    }

    /** @param until by which day; empty for three working days */
    Request drafts(String wanted, String folder, String until) throws Exception {
        return drafts(wanted, Map.of("folder", folder, "until", until));
    }

    /** @param more of the form */
    Request drafts(String wanted, Map<String, String> more) throws Exception {
        String title = "Request " + UUID.randomUUID();
        Visitor ines = ines();
        Map<String, String> form = new HashMap<>(Map.of("title", title, "why", "for the bags", "allowance", "3"));
        form.put("wanted", wanted.replace("|", "\n"));
        form.putAll(more);
        form.put("asked", contactAt("imre@hobandbarley.example"));
        ines.post("/t/projects/" + mill() + "/requests", ines.token(), form);
        return requests.ofProject(mill()).stream()
                .filter(one -> one.title().equals(title))
                .findFirst()
                .orElseThrow();
    }

    String contactAt(String address) {
        return people.contactAt(new EmailAddress(address)).orElseThrow().id().toString();
    }

    Request now(Request request) {
        return requests.find(request.id()).orElseThrow();
    }

    /** Where it is for those who are asked. */
    String at(Request request) {
        return "/c/panes/" + pane().id() + "/requests/" + request.id();
    }

    String page(Request request) throws Exception {
        return text(imre().get(at(request)).body());
    }

    static String text(String html) {
        return org.jsoup.Jsoup.parse(new String(html.getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8))
                .text();
    }

    static byte[] jpeg(int width, int height) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "jpg", bytes);
        return bytes.toByteArray();
    }

    static byte[] words(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** Gives a file for the whole of a request. */
    HttpResponse<String> gives(Visitor who, Request request, String name, byte[] bytes) throws Exception {
        return who.upload(at(request) + "/files", who.token(), name, () -> new ByteArrayInputStream(bytes), Map.of());
    }

    HttpResponse<String> writes(Visitor who, Request request, int part, String typed) throws Exception {
        return who.post(
                at(request) + "/words",
                who.token(),
                Map.of("part", request.parts().get(part).id().toString(), "typed", typed));
    }

    /** What was given last. */
    Supplied last(Request request) {
        List<Supplied> all = now(request).supplied();
        return all.get(all.size() - 1);
    }
}
