package app.clearpane.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Somebody who sends a house whatever they like, with a session of their own or none, and only looks at the number it
 * answers with.
 */
final class Attacker {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Duration PATIENCE = Duration.ofSeconds(90);
    private final String address;
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(new CookieManager())
            .connectTimeout(Duration.ofSeconds(20))
            .build();
    private String token = "";

    Attacker(String address) {
        this.address = address;
    }

    /** Comes in by a link from a mail. */
    Attacker comeIn(String link) throws IOException, InterruptedException {
        readToken(link.substring(address.length()));
        form(link.substring(address.length()), Map.of());
        readToken("/signed-in");
        return this;
    }

    /** Reads what forms must carry from a page. */
    void readToken(String path) throws IOException, InterruptedException {
        Matcher found = TOKEN.matcher(client.send(request(path).build(), HttpResponse.BodyHandlers.ofString())
                .body());
        if (found.find()) {
            token = found.group(1);
        }
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path)).timeout(PATIENCE);
    }

    int get(String path) throws IOException, InterruptedException {
        return client.send(request(path).build(), HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    int form(String path, Map<String, String> fields) throws IOException, InterruptedException {
        StringBuilder body = new StringBuilder("_csrf=" + token);
        fields.forEach(
                (name, value) -> body.append('&').append(name).append('=').append(value));
        return client.send(
                        request(path)
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    /** Sends files, each in its field. */
    int files(String path, Map<String, byte[]> files, String fileName) throws IOException, InterruptedException {
        List<byte[]> parts = new ArrayList<>();
        files.forEach((field, content) -> {
            parts.add(("--siege\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\"" + fileName
                            + "\"\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            parts.add(content);
            parts.add("\r\n".getBytes(StandardCharsets.UTF_8));
        });
        parts.add("--siege--\r\n".getBytes(StandardCharsets.UTF_8));
        return client.send(
                        request(path)
                                .header("Content-Type", "multipart/form-data; boundary=siege")
                                .header("X-CSRF-TOKEN", token)
                                .POST(HttpRequest.BodyPublishers.ofByteArrays(parts))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}
