package app.clearpane.bench;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Asks a running house for pages as one reader with a session, so many at a time, and says how long the answers took.
 */
final class PageLoad {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final HttpClient plain = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();

    PageLoad(String address) {
        this.address = address;
    }

    /**
     * How answers came.
     *
     * @param p50 half of them within so many milliseconds
     * @param p95 19 of 20 within so many milliseconds
     * @param perSecond answers in a second
     */
    record Pace(double p50, double p95, double perSecond) {}

    /** Comes in by a link from a mail. @return the path of the page it leads to */
    String comeIn(String link) throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(
                client.send(HttpRequest.newBuilder(URI.create(link)).build(), HttpResponse.BodyHandlers.ofString())
                        .body());
        if (!token.find()) {
            throw new IOException("the link did not open: " + link);
        }
        HttpRequest open = HttpRequest.newBuilder(URI.create(link))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + token.group(1)))
                .build();
        return client.send(open, HttpResponse.BodyHandlers.discarding()).uri().getPath();
    }

    /** The size of a page in bytes. @throws IOException if it does not answer 200 */
    int size(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> response = client.send(
                HttpRequest.newBuilder(URI.create(address + path)).build(), HttpResponse.BodyHandlers.ofByteArray());
        if (response.statusCode() != 200) {
            throw new IOException(path + " answered " + response.statusCode());
        }
        return response.body().length;
    }

    /** Sends a form and does not look at what comes after it. @throws IOException if it is not taken */
    void post(String path, String token, String form) throws IOException, InterruptedException {
        int status = plain.send(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + token + "&" + form))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
        if (status != 302) {
            throw new IOException(path + " answered " + status);
        }
    }

    /** Sends something by another method. @param body as many bytes as it says are available */
    HttpResponse<Void> send(String method, String path, Map<String, String> headers, InputStream body)
            throws IOException, InterruptedException {
        int length = body.available();
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .method(
                        method,
                        length == 0
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.fromPublisher(
                                        HttpRequest.BodyPublishers.ofInputStream(() -> body), length));
        headers.forEach(request::header);
        return plain.send(request.build(), HttpResponse.BodyHandlers.discarding());
    }

    /** A file, as it comes. */
    InputStream stream(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.ofInputStream())
                .body();
    }

    /** The cookies it has, as they are sent. */
    String cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
    }

    /** A page's text. */
    String text(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }

    /** What a path answers. */
    int status(String path) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    /** Uploads a file into the field "file". @throws IOException if it is not taken */
    void upload(String path, String token, Path file) throws IOException, InterruptedException {
        String head = "--clearpane\r\nContent-Disposition: form-data; "
                + "name=\"whatChanged\"\r\n\r\n\r\n--clearpane\r\nContent-Disposition: form-data; name=\"file\"; "
                + "filename=\""
                + file.getFileName() + "\"\r\nContent-Type: application/pdf\r\n\r\n";
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.concat(
                HttpRequest.BodyPublishers.ofString(head),
                HttpRequest.BodyPublishers.ofFile(file),
                HttpRequest.BodyPublishers.ofString("\r\n--clearpane--\r\n"));
        int status = client.send(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .header("Content-Type", "multipart/form-data; boundary=clearpane")
                                .header("X-CSRF-TOKEN", token)
                                .POST(body)
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
        if (status != 200) {
            throw new IOException(path + " answered " + status + " to " + file.getFileName());
        }
    }

    /** Opens a page with a form. @return what a form must carry to be taken */
    String token(String path) throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(client.send(
                        HttpRequest.newBuilder(URI.create(address + path)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body());
        if (!token.find()) {
            throw new IOException("no form on " + path);
        }
        return token.group(1);
    }

    /** Sends a form. @return the page that comes after it @throws IOException if it is not taken */
    String send(String path, String token, String form) throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + token + "&" + form))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != 200) {
            throw new IOException(path + " answered " + response.statusCode());
        }
        return response.body();
    }

    /** Asks for a page so many times, one after another, each time after something was written. */
    Pace askAfter(Write write, String path, int times) throws IOException, InterruptedException {
        double[] millis = new double[times];
        double sum = 0;
        for (int i = 0; i < times; i++) {
            write.happens();
            long asked = System.nanoTime();
            size(path);
            millis[i] = (System.nanoTime() - asked) / 1e6;
            sum += millis[i];
        }
        Arrays.sort(millis);
        return new Pace(millis[times / 2], millis[times * 95 / 100], times * 1000 / sum);
    }

    /** Something that is written to the house. */
    interface Write {
        void happens() throws IOException, InterruptedException;
    }

    /** Asks for a page so many times, so many at once. */
    Pace ask(String path, int times, int inFlight) throws InterruptedException, ExecutionException {
        ExecutorService readers = Executors.newFixedThreadPool(inFlight);
        AtomicInteger left = new AtomicInteger(times);
        long begun = System.nanoTime();
        Callable<double[]> reader = () -> {
            double[] millis = new double[times];
            int own = 0;
            while (left.getAndDecrement() > 0) {
                long asked = System.nanoTime();
                size(path);
                millis[own++] = (System.nanoTime() - asked) / 1e6;
            }
            return Arrays.copyOf(millis, own);
        };
        double[] all = new double[0];
        for (Future<double[]> part : readers.invokeAll(
                IntStream.range(0, inFlight).mapToObj(i -> reader).toList())) {
            double[] own = part.get();
            int before = all.length;
            all = Arrays.copyOf(all, before + own.length);
            System.arraycopy(own, 0, all, before, own.length);
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        readers.shutdown();
        Arrays.sort(all);
        return new Pace(all[all.length / 2], all[all.length * 95 / 100], all.length / seconds);
    }
}
