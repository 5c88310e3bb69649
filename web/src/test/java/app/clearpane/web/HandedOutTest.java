package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.clearance.Releases;
import jakarta.mail.internet.MimeMessage;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What counts as fetched is what was handed out whole. */
class HandedOutTest extends AtTheMill {
    private static final Pattern LINK = Pattern.compile("/p/releases/([\\w-]+)");

    @Autowired
    private Releases releases;

    @Test
    void onlyWholeDeliveriesCountAndOneADayIsWrittenDown() throws Exception {
        ItemId rye = rye();
        Visitor ines = ines();
        ines.post(
                "/t/releases/" + releases.ofDeliverable(rye).get(0).id() + "/recipients",
                ines.token(),
                Map.of("name", "Print works", "email", "works@print.example"));
        await().until(() -> mailsAbout("works@print.example", "") > 0);
        String file = address() + "/p/releases/" + key() + "/file";
        HttpClient client = HttpClient.newHttpClient();
        HttpResponse<Void> head = lookedAt(file, client);
        String tag = head.headers().firstValue("ETag").orElseThrow();
        assertThat(get(client, file, "Range", "bytes=0-99").statusCode()).isEqualTo(206);
        assertThat(get(client, file, "If-None-Match", tag).statusCode()).isEqualTo(304);
        assertThat(deliveries(rye)).isEmpty();
        int size = get(client, file, "Accept", "*/*").body().length;
        await().until(() -> !deliveries(rye).isEmpty());
        get(client, file, "Accept", "*/*");
        await().until(() -> deliveries(rye).get(0).times() == 2);
        assertThat(deliveries(rye)).singleElement().satisfies(one -> {
            assertThat(one.bytes()).isEqualTo(size);
            assertThat(one.on()).isEqualTo(today());
        });
        assertThat(Texts.of(ines.get("/t/deliverables/" + rye + "/clearance").body()))
                .contains("Print works", "the file, ", "2 times");
    }

    private ItemId rye() throws Exception {
        ItemId rye = deliverables.ofProject(mill()).stream()
                .filter(one -> one.name().equals("Rye, 1 kg"))
                .map(Deliverable::id)
                .findFirst()
                .orElseThrow();
        return rye;
    }

    private HttpResponse<Void> lookedAt(String file, HttpClient client) throws Exception {
        HttpResponse<Void> head = client.send(
                HttpRequest.newBuilder(URI.create(file))
                        .method("HEAD", HttpRequest.BodyPublishers.noBody())
                        .build(),
                HttpResponse.BodyHandlers.discarding());
        assertThat(head.statusCode()).isEqualTo(200);
        return head;
    }

    private List<Releases.Delivery> deliveries(ItemId of) {
        return releases.recipients(of).stream()
                .flatMap(one -> one.deliveries().stream())
                .toList();
    }

    private static HttpResponse<byte[]> get(HttpClient client, String address, String header, String value)
            throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(address))
                        .header(header, value)
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    private String key() throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (mail.getAllRecipients()[0].toString().contains("works@print.example")) {
                Matcher key = LINK.matcher(
                        new String(mail.getInputStream().readAllBytes(), StandardCharsets.UTF_8).replace("=\r\n", ""));
                if (key.find()) {
                    return key.group(1);
                }
            }
        }
        throw new AssertionError("nothing was mailed");
    }
}
