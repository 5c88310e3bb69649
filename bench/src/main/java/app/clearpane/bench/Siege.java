package app.clearpane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Minutes of hostile load on a house with a heap of 512 MB, while a client reads their page all the time. */
final class Siege {
    private static final String ID = "([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})";
    private static final double MEGABYTE = 1 << 20;
    /** What one of the team may send a day here, so that the siege comes up against it. */
    private static final int QUOTA_MB = 200;

    private static final int TARGET_MS = 250;
    private final String address;
    private final int port;
    private final long until;
    private final Map<String, Map<String, AtomicInteger>> answers = new ConcurrentHashMap<>();
    private final List<Thread> threads = new ArrayList<>();
    private final AtomicInteger seeds = new AtomicInteger();

    private Siege(int port, int seconds) {
        this.port = port;
        this.address = "http://localhost:" + port;
        this.until = System.nanoTime() + seconds * 1_000_000_000L;
    }

    /** One blow. */
    private interface Blow {
        int strike() throws IOException, InterruptedException;
    }

    /** Besieges a house of its own. @param seconds how long */
    static void lay(Path data, int port, int seconds) throws Exception {
        try (ServerSocket silentMail = new ServerSocket(0, 500, InetAddress.getLoopbackAddress());
                HouseProcess house = HouseProcess.start(
                        data,
                        port,
                        Map.of(
                                "JDK_JAVA_OPTIONS",
                                "-Xmx512m",
                                "CLEARPANE_DEMO_MAIL_PORT",
                                String.valueOf(silentMail.getLocalPort()),
                                "CLEARPANE_QUOTAS_PERSON",
                                QUOTA_MB + "MB"))) {
            Siege siege = new Siege(port, seconds);
            PageLoad jasper = new PageLoad(siege.address);
            String page = jasper.comeIn(house.linkOf("Jasper Quill-Adeyemi"));
            jasper.ask(page, 400, 4);
            long before = size(data);
            siege.begin(house, page, jasper.text(page));
            double[] millis = siege.readMeanwhile(jasper, page);
            siege.threads.forEach(Thread::interrupt);
            for (Thread thread : siege.threads) {
                thread.join(1_000);
            }
            siege.tell(millis, seconds);
            double grown = (size(data) - before) / MEGABYTE;
            say(
                    "  the data folder grew by %.0f MB; one of the team may send %d MB a day, and each page is "
                            + "kept as two pictures beside its file",
                    grown, QUOTA_MB);
            say(
                    "  heap after a collection: %.0f MB; the house still runs: %s",
                    house.heapAfterCollection(), jasper.status(page) == 200 ? "yes" : "NO");
        }
    }

    private void begin(HouseProcess house, String page, String text) throws Exception {
        PageLoad ines = new PageLoad(address);
        ines.comeIn(house.linkOf("Ines"));
        String deliverable = first("/t/deliverables/" + ID, ines.text("/t"));
        String version = first("/versions/" + ID, text);
        String pane = first("/c/panes/" + ID, page);
        String look = lookOnly(ines, pane);
        String upload = "/t/deliverables/" + deliverable + "/versions?whatChanged=";
        byte[] noise = Hostile.noise(1, 1_920, 1_080);
        byte[] other = Hostile.noise(2, 1_920, 1_080);
        byte[] large = new byte[30_000_000];
        String huge = "x".repeat(1_900_000);

        for (int i = 0; i < 40; i++) {
            attack("slow bodies", 0, this::slowBody);
        }
        Attacker nobody = new Attacker(address);
        nobody.readToken("/sign-in");
        attack(
                "addresses of 1.9 MB",
                300,
                () -> nobody.form("/sign-in", Map.of("email", huge + seeds.incrementAndGet(), "password", "x")));
        attack(
                "addresses of 1.9 MB for a link",
                300,
                () -> nobody.form("/come-in", Map.of("email", huge + seeds.incrementAndGet())));
        attack(
                "wrong passwords",
                50,
                () -> nobody.form(
                        "/sign-in",
                        Map.of("email", "ines@marram-finch.example", "password", "guess" + seeds.incrementAndGet())));
        attack("links that are none", 20, () -> nobody.get("/p/guess" + seeds.incrementAndGet()));
        attack(
                "links asked for, mail silent",
                500,
                () -> nobody.form("/come-in", Map.of("email", "jasper@penwether.example")));
        attack("files from nobody, 30 MB", 500, () -> nobody.files("/come-in", Map.of("file", large), "large.png"));
        Attacker looker = new Attacker(address).comeIn(look);
        attack(
                "files by a look-only link, 30 MB",
                500,
                () -> looker.files(
                        "/c/panes/" + pane + "/versions/" + version + "/marks", Map.of("files", large), "large.png"));
        Attacker jasper = new Attacker(address).comeIn(house.linkOf("Jasper Quill-Adeyemi"));
        attack(
                "pictures to compare",
                200,
                () -> jasper.files(
                        "/c/panes/" + pane + "/versions/" + version + "/frames",
                        Map.of("before", noise, "after", other),
                        "frame.png"));
        attack(
                "what is no picture, to compare",
                200,
                () -> jasper.files(
                        "/c/panes/" + pane + "/versions/" + version + "/frames",
                        Map.of("before", "no picture".getBytes(StandardCharsets.US_ASCII), "after", noise),
                        "frame.png"));
        Attacker mirela = new Attacker(address).comeIn(house.linkOf("Mirela"));
        for (int i = 0; i < 10; i++) {
            attack("live lines", 1_000, () -> mirela.get("/c/panes/" + pane + "/versions/" + version + "/live"));
        }
        Attacker teo = new Attacker(address).comeIn(house.linkOf("Teo"));
        byte[] repeating = Hostile.repeatingSvg();
        byte[] deep = Hostile.deepSvg();
        attack("SVGs that repeat themselves", 1_000, () -> teo.files(upload, Map.of("file", repeating), "map.svg"));
        attack("SVGs without a bottom", 1_000, () -> teo.files(upload, Map.of("file", deep), "map.svg"));
        attack(
                "SVGs of 150,000 shapes",
                5_000,
                () -> teo.files(upload, Map.of("file", Hostile.heavySvg(seeds.incrementAndGet())), "map.svg"));
        attack(
                "PDFs that never end",
                5_000,
                () -> teo.files(upload, Map.of("file", Hostile.endlessPdf(seeds.incrementAndGet())), "map.pdf"));
        attack(
                "pictures of noise",
                4_000,
                () -> teo.files(
                        upload, Map.of("file", Hostile.noise(seeds.incrementAndGet(), 1_600, 1_000)), "map.png"));
    }

    /** The address of a link by which whoever has it may look. */
    private String lookOnly(PageLoad ines, String pane) throws IOException, InterruptedException {
        return first(
                "(" + Pattern.quote(address) + "/p/[A-Za-z0-9_-]+)",
                ines.send("/t/panes/" + pane + "/links", ines.token("/t/password"), "name=Siege&passcode=&lastDay="));
    }

    private void attack(String name, int pause, Blow blow) {
        Thread thread = new Thread(
                () -> {
                    while (System.nanoTime() < until) {
                        count(name, answer(blow));
                        try {
                            Thread.sleep(pause);
                        } catch (InterruptedException over) {
                            return;
                        }
                    }
                },
                name);
        thread.setDaemon(true);
        thread.start();
        threads.add(thread);
    }

    private static String answer(Blow blow) {
        try {
            return String.valueOf(blow.strike());
        } catch (IOException cut) {
            return "cut off";
        } catch (InterruptedException over) {
            Thread.currentThread().interrupt();
            return "over";
        }
    }

    private void count(String name, String answer) {
        answers.computeIfAbsent(name, any -> new ConcurrentHashMap<>())
                .computeIfAbsent(answer, any -> new AtomicInteger())
                .incrementAndGet();
    }

    /** A body that comes one byte a second. */
    private int slowBody() throws IOException, InterruptedException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            OutputStream out = socket.getOutputStream();
            out.write(("POST /sign-in HTTP/1.1\r\nHost: localhost\r\nContent-Type: "
                            + "application/x-www-form-urlencoded\r\nContent-Length: 1000000\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            for (int i = 0; i < 60 && System.nanoTime() < until; i++) {
                out.write('a');
                out.flush();
                Thread.sleep(1_000);
            }
            return 0;
        }
    }

    private double[] readMeanwhile(PageLoad jasper, String page) throws InterruptedException {
        ConcurrentLinkedQueue<Double> all = new ConcurrentLinkedQueue<>();
        while (System.nanoTime() < until) {
            long asked = System.nanoTime();
            try {
                jasper.size(page);
            } catch (IOException refused) {
                count("THE CLIENT'S OWN PAGE", String.valueOf(refused.getMessage()));
            }
            all.add((System.nanoTime() - asked) / 1e6);
            Thread.sleep(150);
        }
        return all.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    private void tell(double[] millis, int seconds) {
        int blows = answers.values().stream()
                .flatMap(each -> each.values().stream())
                .mapToInt(AtomicInteger::get)
                .sum();
        double p95 = millis[millis.length * 95 / 100];
        say(
                "siege of %d s on a heap of 512 MB, %d blows: a client's page p50 %.0f ms, p95 %.0f ms, longest "
                        + "%.0f ms, %d times (p95 at most %d: %s)",
                seconds,
                blows,
                millis[millis.length / 2],
                p95,
                Arrays.stream(millis).max().orElse(0),
                millis.length,
                TARGET_MS,
                p95 <= TARGET_MS ? "held" : "NOT HELD");
        new TreeMap<>(answers).forEach((name, each) -> say("  %-34s %s", name, new TreeMap<>(each)));
    }

    private static String first(String pattern, String text) throws IOException {
        Matcher found = Pattern.compile(pattern).matcher(text);
        if (!found.find()) {
            throw new IOException("the demo has nothing like " + pattern);
        }
        return found.group(1);
    }

    private static long size(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile)
                    .mapToLong(file -> {
                        try {
                            return Files.size(file);
                        } catch (IOException goneMeanwhile) {
                            return 0;
                        }
                    })
                    .sum();
        }
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
