package app.clearpane.web;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Flow;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Somebody with a browser of their own, as far as requests and cookies go. Redirects are not followed. */
public final class Visitor {
    /** How an object looks that was printed by mistake. */
    private static final Pattern OBJECT = Pattern.compile("\\b[A-Z]\\w+\\[[a-z]\\w*=.{0,60}|Optional(\\[|\\.empty)");

    private static final Pattern TOKEN =
            Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"|X-CSRF-TOKEN(?:&quot;|\"):(?:&quot;|\")([^&\"]+)");
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;
    private String token = "";

    public Visitor(String base) {
        this.base = base;
    }

    /** The names of what the house keeps in this browser. */
    public List<String> cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(HttpCookie::getName)
                .toList();
    }

    /** Comes in by a link. */
    public static Visitor by(String base, String link) throws IOException, InterruptedException {
        Visitor visitor = new Visitor(base);
        String path = link.substring(base.length());
        visitor.post(path, token(visitor.get(path).body()), Map.of());
        return visitor;
    }

    public HttpResponse<String> get(String path) throws IOException, InterruptedException {
        HttpResponse<String> response =
                client.send(HttpRequest.newBuilder(uri(path)).build(), Visitor::body);
        if (response.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
            Matcher object = OBJECT.matcher(response.body());
            if (object.find()) {
                throw new AssertionError(path + " prints an object where words should stand: " + object.group());
            }
        }
        return response;
    }

    /** Asks for a page with headers of its own. */
    public HttpResponse<String> get(String path, Map<String, String> headers) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(uri(path));
        headers.forEach(request::header);
        return client.send(request.build(), Visitor::body);
    }

    /** Listens to a stream of events, line by line. */
    public Stream<String> listen(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(uri(path)).build(), HttpResponse.BodyHandlers.ofLines())
                .body();
    }

    /** The body as text, each byte a character; of a stream of events, which has no end, nothing. */
    private static HttpResponse.BodySubscriber<String> body(HttpResponse.ResponseInfo info) {
        boolean endless = info.headers().firstValue("Content-Type").orElse("").startsWith("text/event-stream")
                && info.statusCode() == 200;
        return endless ? new Unread() : HttpResponse.BodySubscribers.ofString(StandardCharsets.ISO_8859_1);
    }

    /** Leaves as soon as the answer begins. */
    private static final class Unread implements HttpResponse.BodySubscriber<String> {
        private final CompletableFuture<String> body = CompletableFuture.completedFuture("");

        @Override
        public CompletionStage<String> getBody() {
            return body;
        }

        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.cancel();
        }

        @Override
        public void onNext(List<ByteBuffer> item) {
            // nothing is asked for
        }

        @Override
        public void onError(Throwable gone) {
            // it was left
        }

        @Override
        public void onComplete() {
            // it was left
        }
    }

    /** Follows redirects by hand, up to five. */
    public HttpResponse<String> open(String path) throws IOException, InterruptedException {
        HttpResponse<String> response = get(path);
        for (int i = 0; i < 5 && response.statusCode() / 100 == 3; i++) {
            response = get(response.headers().firstValue("Location").orElseThrow());
        }
        return response;
    }

    public HttpResponse<String> post(String path, String token, Map<String, String> form)
            throws IOException, InterruptedException {
        return postMany(
                path,
                token,
                form.entrySet().stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, field -> java.util.List.of(field.getValue()))));
    }

    /** Sends a form with the token of this visitor's forms. @param form as a query, its values as they are */
    public HttpResponse<String> sends(String path, String form) throws IOException, InterruptedException {
        return post(path, token(), fields(form));
    }

    /** The fields of a form. @param form as a query, its values as they are */
    public static Map<String, String> fields(String form) {
        return Stream.of(form.split("&(?=[\\w-]+=)"))
                .filter(field -> !field.isEmpty())
                .collect(Collectors.toMap(
                        field -> field.substring(0, field.indexOf('=')),
                        field -> field.substring(field.indexOf('=') + 1)));
    }

    /** Sends a form with fields that may stand in it several times. */
    public HttpResponse<String> postMany(String path, String token, Map<String, java.util.List<String>> form)
            throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                .flatMap(e -> e.getValue().stream()
                        .map(value -> e.getKey() + "=" + URLEncoder.encode(value, StandardCharsets.UTF_8)))
                .collect(Collectors.joining("&"));
        HttpRequest request = HttpRequest.newBuilder(uri(path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-CSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        return client.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
    }

    /** Sends one file with fields as a browser does. */
    public HttpResponse<String> upload(
            String path,
            String token,
            String fileName,
            java.util.function.Supplier<java.io.InputStream> content,
            Map<String, String> fields)
            throws IOException, InterruptedException {
        String boundary = "----clearpane";
        StringBuilder head = new StringBuilder();
        fields.forEach((name, value) -> head.append("--")
                .append(boundary)
                .append("\r\nContent-Disposition: form-data; name=\"")
                .append(name)
                .append("\"\r\n\r\n")
                .append(value)
                .append("\r\n"));
        head.append("--")
                .append(boundary)
                .append("\r\nContent-Disposition: form-data; name=\"file\"; filename=\"")
                .append(fileName)
                .append("\"\r\nContent-Type: application/pdf\r\n\r\n");
        byte[] before = head.toString().getBytes(StandardCharsets.UTF_8);
        byte[] after = ("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8);
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.ofInputStream(() -> new java.io.SequenceInputStream(
                new java.io.SequenceInputStream(new java.io.ByteArrayInputStream(before), content.get()),
                new java.io.ByteArrayInputStream(after)));
        HttpRequest request = HttpRequest.newBuilder(uri(path))
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .header("X-CSRF-TOKEN", token)
                .POST(body)
                .build();
        return client.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
    }

    /** Sends bytes by any method, as scripts do. */
    public HttpResponse<String> sends(String method, String path, Map<String, String> headers, byte[] body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(uri(path)).method(method, HttpRequest.BodyPublishers.ofByteArray(body));
        headers.forEach(request::header);
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
    }

    /** Sends a form with the files that were chosen in one of its fields. */
    public HttpResponse<String> attach(String path, String token, Map<String, String> fields, Map<String, byte[]> files)
            throws IOException, InterruptedException {
        java.io.ByteArrayOutputStream body = new java.io.ByteArrayOutputStream();
        for (Map.Entry<String, String> field : fields.entrySet()) {
            body.writeBytes(("------clearpane\r\nContent-Disposition: form-data; name=\"" + field.getKey()
                            + "\"\r\n\r\n" + field.getValue() + "\r\n")
                    .getBytes(StandardCharsets.UTF_8));
        }
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            body.writeBytes(("------clearpane\r\nContent-Disposition: form-data; name=\"files\"; filename=\""
                            + file.getKey() + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(file.getValue());
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes("------clearpane--\r\n".getBytes(StandardCharsets.UTF_8));
        HttpRequest request = HttpRequest.newBuilder(uri(path))
                .header("Content-Type", "multipart/form-data; boundary=----clearpane")
                .header("X-CSRF-TOKEN", token)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build();
        return client.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
    }

    /** The token of this visitor's forms, read off their front page once. */
    public String token() throws IOException, InterruptedException {
        token = token.isEmpty() ? token(open("/").body()) : token;
        return token;
    }

    private URI uri(String path) {
        return URI.create(path.startsWith("http") ? path : base + path);
    }

    /** The token a page's forms carry. */
    public static String token(String page) {
        Matcher matcher = TOKEN.matcher(page);
        if (!matcher.find()) {
            return "none";
        }
        return matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
    }
}
