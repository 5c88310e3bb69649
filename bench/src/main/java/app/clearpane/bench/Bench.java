package app.clearpane.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the house as people start it, asks for pages, and prints each figure beside its yardstick and its target. */
final class Bench {
    private static final int WARM_UP = 1500;
    private static final int ROUNDS = 3;
    private static final int FEW = 10;
    private static final int MANY = 1_000;
    private static final int GROWN_WARM_UP = 400;
    private static final int GROWN_TIMES = 150;
    private static final int FEW_TIMES = 30;
    private static final String P95 = ", p95";
    private static final String CLIENTS_PANE = "client's pane page";
    private static final String SIGN_IN = "bare sign-in page";
    private static final String STATIC_FILE = "static file";

    private Bench() {}

    public static void main(String[] arguments) throws Exception {
        List<String> parts = arguments.length == 0
                ? List.of("core", "pages", "home", "files", "uploads", "table")
                : List.of(arguments);
        if (parts.contains("core")) {
            core();
        }
        if (parts.contains("pages")) {
            pages();
        }
        if (parts.contains("home")) {
            HomeBench.measure(Files.createTempDirectory("clear-pane-bench"), freePort());
        }
        if (parts.contains("files")) {
            FileRoomBench.measure(Files.createTempDirectory("clear-pane-bench"), freePort());
        }
        if (parts.contains("uploads")) {
            UploadBench.measure(Files.createTempDirectory("clear-pane-bench"), freePort());
        }
        if (parts.contains("siege")) {
            int seconds = parts.stream()
                    .filter(part -> part.matches("[0-9]+"))
                    .mapToInt(Integer::parseInt)
                    .findFirst()
                    .orElse(600);
            Siege.lay(Files.createTempDirectory("clear-pane-bench"), freePort(), seconds);
        }
        if (parts.contains("table")) {
            TableBench.measure(Files.createTempDirectory("clear-pane-bench"), freePort());
        }
    }

    private static void core() throws Exception {
        double check = milliseconds(ExposureCheckBench.class).get("check");
        say("exposure check, 10,000 items and 50 seats: %.1f ms (at most 20)", check);
        say(
                "forecast and slip, 500 activities over 250 days: %.1f ms (at most 100)",
                milliseconds(SlipBench.class).get("ledger"));
        say(
                "a Record of 100,000 entries read over: %.0f ms (at most 3,000)",
                milliseconds(RecordBench.class).get("readOver"));
        comparing();
    }

    private static void pages() throws Exception {
        Path data = Files.createTempDirectory("clear-pane-bench");
        int port = freePort();
        double first;
        try (HouseProcess house = HouseProcess.start(data, port)) {
            first = house.secondsToStart();
        }
        try (HouseProcess house = HouseProcess.start(data, port)) {
            say(
                    "Java %s, %d processors",
                    System.getProperty("java.version"), Runtime.getRuntime().availableProcessors());
            say(
                    "start with new demo data: %.1f s; with the data there already: %.1f s (at most 15 on JDK 17, "
                            + "6 on JDK 25)",
                    first, house.secondsToStart());
            besideTheSignInPage(house, port);
        }
        Map<String, Double> few = grown(data, port, FEW);
        Map<String, Double> many = grown(data, port, MANY);
        say(
                "%-34s %12s %12s %8s",
                "p50 ms (p95 ms) alone, 500 items", FEW + " projects", "%,d projects".formatted(MANY), "ratio");
        for (String name :
                few.keySet().stream().filter(key -> !key.endsWith(P95)).toList()) {
            say(
                    "%-34s %5.1f (%4.1f) %5.1f (%4.1f) %8.2f",
                    name,
                    few.get(name),
                    few.get(name + P95),
                    many.get(name),
                    many.get(name + P95),
                    many.get(name) / few.get(name));
        }
        say("targets: the client's pane page at most 1.30 times as long; any page of the team p95 at most 60 "
                + "ms, the plan of 500 tasks 120 ms");
    }

    /** Change maps beside public pixel differs on the same pages. */
    private static void comparing() throws Exception {
        Map<String, Double> ours = milliseconds(ChangeMapBench.class);
        Map<String, Double> others = PublicDiffers.measured();
        say(
                "change map, two pages of 3840 × 2160, 1 %% changed: %.1f ms, with registration %.1f ms (at most 200)",
                ours.get("differing"), ours.get("withRegistration"));
        others.forEach((name, time) -> say(
                "  %s on the same pages: %.1f ms%s; ours takes %.2f times as long%s",
                name,
                time,
                "odiff".equals(name) ? " with reading and writing the files" : "",
                ours.get("differing") / time,
                "pixelmatch".equals(name) ? " (at most 1.00)" : ""));
        if (others.isEmpty()) {
            say("  public differs were not measured: they come from npm, which could not be reached");
        }
    }

    /** What each benchmark of a class takes, by its method's name. */
    private static Map<String, Double> milliseconds(Class<?> benchmarks) throws RunnerException {
        Map<String, Double> result = new LinkedHashMap<>();
        for (RunResult run : new Runner(new OptionsBuilder()
                        .include(benchmarks.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            result.put(run.getPrimaryResult().getLabel(), run.getPrimaryResult().getScore());
        }
        return result;
    }

    /** Pages of the first of so many projects, and pages over all of them. */
    private static Map<String, Double> grown(Path data, int port, int projects) throws Exception {
        String[] paths = new Growth(data).to(projects, "Jasper Quill-Adeyemi").split(" ");
        Map<String, Double> paces = new LinkedHashMap<>();
        try (HouseProcess house = HouseProcess.start(data, port)) {
            PageLoad client = new PageLoad("http://localhost:" + port);
            client.comeIn(house.linkOf("Jasper Quill-Adeyemi"));
            PageLoad team = new PageLoad("http://localhost:" + port);
            team.comeIn(house.linkOf("Ines"));
            measure(client, CLIENTS_PANE, paths[0], paces);
            PageLoad owner = new PageLoad("http://localhost:" + port);
            owner.comeIn(house.linkOf("Bastian"));
            String token = owner.token("/t/ceilings");
            PageLoad.Write write =
                    () -> owner.send("/t/ceilings/tasks-for-clients", token, "asked=true&may=true&sure=true");
            keep(paces, "the same, just after a write", client.askAfter(write, paths[0], GROWN_TIMES));
            for (String place : List.of("panes?kind=FILES", "files", "deliverables", "plan?as=lines", "plan?as=time")) {
                measure(
                        team,
                        "the team's "
                                + place.replaceAll("\\?(kind=FILES)?(as=)?", " ")
                                        .strip() + " page",
                        paths[1] + "/" + place,
                        paces);
            }
            measure(team, "the Desk", "/t", paces);
            keep(paces, "the Desk, just after a write", team.askAfter(write, "/t", FEW_TIMES));
        }
        return paces;
    }

    private static void measure(PageLoad pages, String name, String path, Map<String, Double> paces) throws Exception {
        pages.ask(path, GROWN_WARM_UP, 4);
        keep(paces, name, pages.ask(path, GROWN_TIMES, 1));
    }

    private static void keep(Map<String, Double> paces, String name, PageLoad.Pace pace) {
        paces.put(name, pace.p50());
        paces.put(name + P95, pace.p95());
    }

    private static void besideTheSignInPage(HouseProcess house, int port) throws Exception {
        PageLoad pages = new PageLoad("http://localhost:" + port);
        String pane = pages.comeIn(house.linkOf("Jasper Quill-Adeyemi"));
        Map<String, String> paths = new LinkedHashMap<>();
        paths.put(CLIENTS_PANE, pane);
        paths.put(SIGN_IN, "/sign-in");
        paths.put(STATIC_FILE, "/css/app.css");
        say("idle heap after a collection: %.0f MB (at most 120)", house.heapAfterCollection());
        say("client's pane page: %.1f KB as text, before compression and pictures", pages.size(pane) / 1e3);
        for (String path : paths.values()) {
            pages.ask(path, WARM_UP, 8);
        }
        say("%-20s %9s %10s %10s %12s %18s", "", "in flight", "p50 ms", "p95 ms", "a second", "of the sign-in page");
        for (int inFlight : List.of(1, 10, 50)) {
            Map<String, PageLoad.Pace> paces = paces(pages, paths, inFlight);
            paces.forEach((name, pace) -> say(
                    "%-20s %9d %10.2f %10.2f %12.0f %18.2f",
                    name,
                    inFlight,
                    pace.p50(),
                    pace.p95(),
                    pace.perSecond(),
                    pace.perSecond() / paces.get(SIGN_IN).perSecond()));
        }
        say("targets: the pane page alone p50 at most 10 ms and p95 at most 25 ms; with 50 in flight at least "
                + "0.50 of the sign-in page");
        say("heap after the load and a collection: %.0f MB", house.heapAfterCollection());
    }

    /**
     * The pages in turn, several times over, so that what slows the machine slows all of them; the median round of
     * each.
     */
    private static Map<String, PageLoad.Pace> paces(PageLoad pages, Map<String, String> paths, int inFlight)
            throws Exception {
        Map<String, List<PageLoad.Pace>> rounds = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            for (Map.Entry<String, String> path : paths.entrySet()) {
                rounds.computeIfAbsent(path.getKey(), name -> new ArrayList<>())
                        .add(pages.ask(path.getValue(), inFlight == 1 ? 200 : 600, inFlight));
            }
        }
        Map<String, PageLoad.Pace> paces = new LinkedHashMap<>();
        rounds.forEach((name, all) -> paces.put(
                name,
                all.stream()
                        .sorted(Comparator.comparing(PageLoad.Pace::perSecond))
                        .toList()
                        .get(ROUNDS / 2)));
        return paces;
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
