package app.clearpane.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A gigabyte sent in parts to a house with a heap of 512 MB: the line is cut in the middle of a part, the server is
 * killed in the middle of another, and nothing may be lost; and a hundred files at once.
 */
final class UploadBench {
    private static final long SIZE = 1L << 30;
    private static final int PART = 32 << 20;
    private static final int BLOCK = 1 << 16;
    private static final int AT_ONCE = 100;
    private static final int SMALL = 4 << 20;
    private static final int TARGET_MB = 64;
    private static final String ID = "([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})";
    private static final Map<String, String> HOUSE = Map.of(
            "JDK_JAVA_OPTIONS", "-Xmx512m", "CLEARPANE_QUOTAS_PERSON", "20GB", "CLEARPANE_QUOTAS_PROJECT", "40GB");
    private final Path data;
    private final int port;
    private final PageLoad mirela;
    private HouseProcess house;
    private String request = "";

    private UploadBench(Path data, int port) throws IOException {
        this.data = data;
        this.port = port;
        this.mirela = new PageLoad("http://localhost:" + port);
        this.house = HouseProcess.start(data, port, HOUSE);
    }

    /** Measures with a house of its own. */
    static void measure(Path data, int port) throws Exception {
        UploadBench bench = new UploadBench(data, port);
        try {
            String pane = bench.mirela.comeIn(bench.house.linkOf("Mirela"));
            bench.request = bench.openRequest(pane);
            bench.gigabyte(pane);
            bench.hundred(pane);
        } finally {
            bench.house.close();
        }
    }

    private String openRequest(String pane) throws Exception {
        Matcher found = Pattern.compile(pane + "/requests/" + ID).matcher(mirela.text(pane));
        while (found.find()) {
            String text = mirela.text(found.group());
            if (text.contains("type=\"file\"")) {
                return found.group();
            }
        }
        throw new IOException("nobody asked for a file at " + pane);
    }

    private void gigabyte(String pane) throws Exception {
        String token = mirela.token(request);
        mirela.ask(pane, AT_ONCE, 2);
        double before = house.heapAfterCollection();
        long begun = System.nanoTime();
        String address = begin(pane, token, SIZE, "gigabyte.bin");
        double most = 0;
        long offset = 0;
        boolean cut = false;
        boolean killed = false;
        while (offset < SIZE) {
            if (!cut && offset > SIZE / 3) {
                cut = true;
                cutInTheMiddle(address, token, offset);
                offset = offset(address, token);
                continue;
            }
            if (!killed && offset > 2 * SIZE / 3) {
                killed = true;
                killInTheMiddle(address, token, offset);
                offset = offset(address, token);
                continue;
            }
            long to = Math.min(SIZE, offset + PART);
            send(address, token, offset, to);
            offset = to;
            most = killed ? most : Math.max(most, house.heapAfterCollection() - before);
        }
        double sent = (System.nanoTime() - begun) / 1e9;
        String given = give(token, address, "gigabyte.bin");
        double seconds = (System.nanoTime() - begun) / 1e9;
        String ours = digest(new Bytes(0, SIZE));
        String theirs;
        try (InputStream back = mirela.stream(given)) {
            theirs = digest(back);
        }
        say(
                "1 GB in parts of %d MB, the line cut once and the server killed once: sent in %.0f s, with its restart; "
                        + "checked and kept after %.0f s; every byte is there: %s; "
                        + "heap grew by %.0f MB at most (at most %d)",
                PART >> 20, sent, seconds, ours.equals(theirs) ? "yes" : "NO", most, TARGET_MB);
    }

    private void hundred(String pane) throws Exception {
        String token = mirela.token(request);
        double before = house.heapAfterCollection();
        long begun = System.nanoTime();
        ExecutorService senders = Executors.newFixedThreadPool(AT_ONCE);
        List<Future<Boolean>> all = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            String name = "one of a hundred, " + i + ".bin";
            all.add(senders.submit(() -> {
                String address = begin(pane, token, SMALL, name);
                for (long offset = 0; offset < SMALL; offset += SMALL / 4) {
                    send(address, token, offset, offset + SMALL / 4);
                }
                return offset(address, token) == SMALL;
            }));
        }
        int whole = 0;
        for (Future<Boolean> one : all) {
            whole += one.get() ? 1 : 0;
        }
        senders.shutdown();
        say(
                "%d files of %d MB at once on a heap of 512 MB: %d whole after %.1f s; heap grew by %.0f MB",
                AT_ONCE, SMALL >> 20, whole, (System.nanoTime() - begun) / 1e9, house.heapAfterCollection() - before);
    }

    private String begin(String pane, String token, long size, String name) throws Exception {
        String called = Base64.getEncoder().encodeToString(name.getBytes(StandardCharsets.UTF_8));
        HttpResponse<Void> begun = mirela.send(
                "POST",
                pane + "/uploads",
                headers(token, "Upload-Length", String.valueOf(size), "Upload-Metadata", "filename " + called),
                InputStream.nullInputStream());
        return begun.headers()
                .firstValue("Location")
                .map(location -> location.replaceFirst("^https?://[^/]*", ""))
                .orElseThrow(() -> new IOException("an upload was not begun: " + begun.statusCode()));
    }

    private static Map<String, String> headers(String token, String... more) {
        Map<String, String> headers = new java.util.HashMap<>(Map.of("Tus-Resumable", "1.0.0", "X-CSRF-TOKEN", token));
        for (int i = 0; i < more.length; i += 2) {
            headers.put(more[i], more[i + 1]);
        }
        return headers;
    }

    private void send(String address, String token, long from, long to) throws Exception {
        int status = mirela.send(
                        "PATCH",
                        address,
                        headers(
                                token,
                                "Upload-Offset",
                                String.valueOf(from),
                                "Content-Type",
                                "application/offset+octet-stream"),
                        new Bytes(from, to))
                .statusCode();
        if (status != 204) {
            throw new IOException("the part from " + from + " was answered " + status);
        }
    }

    private long offset(String address, String token) throws Exception {
        return mirela.send("HEAD", address, headers(token), InputStream.nullInputStream())
                .headers()
                .firstValueAsLong("Upload-Offset")
                .orElseThrow();
    }

    /** Half of a part, and then the line is gone. */
    private void cutInTheMiddle(String address, String token, long from) throws Exception {
        try (Socket line = new Socket("localhost", port)) {
            half(line, address, token, from);
        }
        Thread.sleep(500); // the server needs a moment to see that nobody is there
    }

    private void killInTheMiddle(String address, String token, long from) throws Exception {
        try (Socket line = new Socket("localhost", port)) {
            half(line, address, token, from);
            house.kill();
        }
        house = HouseProcess.start(data, port, HOUSE);
    }

    private void half(Socket line, String address, String token, long from) throws IOException {
        OutputStream out = line.getOutputStream();
        out.write(("PATCH " + address + " HTTP/1.1\r\nHost: localhost:" + port + "\r\nCookie: " + mirela.cookies()
                        + "\r\nTus-Resumable: 1.0.0\r\nX-CSRF-TOKEN: " + token + "\r\nUpload-Offset: " + from
                        + "\r\nContent-Type: application/offset+octet-stream\r\nContent-Length: " + PART + "\r\n\r\n")
                .getBytes(StandardCharsets.US_ASCII));
        new Bytes(from, from + PART / 2).transferTo(out);
        out.flush();
    }

    /** Gives what was sent. @return where it is taken back from */
    private String give(String token, String address, String name) throws Exception {
        mirela.send(request + "/files", token, "uploaded=" + address);
        String text = mirela.text(request);
        Matcher given = Pattern.compile(request + "/given/" + ID + "/file").matcher(text);
        String last = "";
        while (given.find()) {
            last = given.group();
            int at = text.lastIndexOf(name, given.end() + 400);
            if (at > given.start() - 2_000 && at >= 0) {
                return last;
            }
        }
        throw new IOException(name + " was not given; last was " + last);
    }

    private static String digest(InputStream in) throws Exception {
        MessageDigest sha256 = MessageDigest.getInstance("SHA-256");
        byte[] block = new byte[BLOCK];
        for (int read = in.read(block); read >= 0; read = in.read(block)) {
            sha256.update(block, 0, read);
        }
        return HexFormat.of().formatHex(sha256.digest());
    }

    /** The bytes of a made-up file from one place to another, the same whenever they are asked for. */
    private static final class Bytes extends InputStream {
        private final byte[] block = new byte[BLOCK];
        private final long to;
        private long at;
        private long made = -1;

        Bytes(long from, long to) {
            this.at = from;
            this.to = to;
        }

        @Override
        public int read() {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int start, int most) {
            if (at >= to) {
                return -1;
            }
            if (at / BLOCK != made) {
                made = at / BLOCK;
                new SplittableRandom(made).nextBytes(block);
            }
            int from = (int) (at % BLOCK);
            int count = (int) Math.min(Math.min(most, BLOCK - from), to - at);
            System.arraycopy(block, from, into, start, count);
            at += count;
            return count;
        }

        @Override
        public int available() {
            return (int) Math.min(Integer.MAX_VALUE, to - at);
        }
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
