package app.clearpane.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The light table: how soon a document can be looked at, what a large one takes, and how many marks a sheet bears. */
final class TableBench {
    private static final String ID = "([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})";
    private static final int PAGES = 40;
    private static final int PICTURES = 195;
    private static final int MARKS = 300;
    private static final int TIMES = 60;
    private static final double MEGABYTE = 1 << 20;
    private final PageLoad team;
    private final String deliverable;

    private TableBench(PageLoad team) throws IOException, InterruptedException {
        this.team = team;
        Matcher found = Pattern.compile("/t/deliverables/" + ID + "\"[^>]*>[^<]*(?:<[^>]*>)*[^<]*Signing paint samples")
                .matcher(team.text("/t"));
        if (!found.find()) {
            throw new IOException("the demo has no deliverable to measure with");
        }
        this.deliverable = found.group(1);
    }

    /** Measures with a house of its own, whose heap is 512 MB. */
    static void measure(Path data, int port) throws IOException, InterruptedException {
        try (HouseProcess house = HouseProcess.start(data, port, Map.of("JDK_JAVA_OPTIONS", "-Xmx512m"))) {
            PageLoad team = new PageLoad("http://localhost:" + port);
            team.comeIn(house.linkOf("Ines"));
            TableBench bench = new TableBench(team);
            Path folder = Files.createTempDirectory("clear-pane-bench");
            bench.soon(PlainPdf.write(folder.resolve("first.pdf"), PAGES, false), "in a house just started");
            bench.soon(PlainPdf.write(folder.resolve("second.pdf"), PAGES, false), "with others drawn before");
            house.endDrawing();
            bench.soon(PlainPdf.write(folder.resolve("third.pdf"), PAGES, false), "with nothing drawn for a while");
            bench.large(PlainPdf.write(folder.resolve("large.pdf"), PICTURES, true), house);
            bench.marks(PlainPdf.write(folder.resolve("marked.pdf"), 1, false));
        }
    }

    private String version() throws IOException, InterruptedException {
        Matcher found = Pattern.compile("/t/versions/" + ID + "/light-table")
                .matcher(team.text("/t/deliverables/" + deliverable));
        String last = "";
        while (found.find()) {
            last = found.group(1);
        }
        return last;
    }

    private String upload(Path pdf) throws IOException, InterruptedException {
        team.upload("/t/deliverables/" + deliverable + "/versions", team.token("/t/deliverables/" + deliverable), pdf);
        return version();
    }

    private double secondsUntilSheet(String version, int page, long since) throws IOException, InterruptedException {
        while (team.status("/t/versions/" + version + "/sheets/" + page + "/large") != 200) {
            if (System.nanoTime() - since > 600e9) {
                throw new IOException("sheet " + page + " was not drawn within ten minutes");
            }
            Thread.sleep(10);
        }
        return (System.nanoTime() - since) / 1e9;
    }

    private void soon(Path pdf, String when) throws IOException, InterruptedException {
        String version = upload(pdf);
        long uploaded = System.nanoTime();
        double first = secondsUntilSheet(version, 1, uploaded);
        say(
                "a PDF of %d pages, %s: first sheet %.2f s after it was uploaded (at most 1.5), all of them "
                        + "after %.1f s",
                PAGES, when, first, secondsUntilSheet(version, PAGES, uploaded));
    }

    private void large(Path pdf, HouseProcess house) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        String version = upload(pdf);
        long uploaded = System.nanoTime();
        double first = secondsUntilSheet(version, 1, uploaded);
        double all = secondsUntilSheet(version, PICTURES, uploaded);
        say(
                "a PDF of %.0f MB in a heap of 512 MB: taken in %.1f s, first sheet after %.1f s, all %d after "
                        + "%.0f s; heap after a collection %.0f MB",
                Files.size(pdf) / MEGABYTE,
                (uploaded - begun) / 1e9,
                first,
                PICTURES,
                all,
                house.heapAfterCollection());
    }

    private void marks(Path pdf) throws IOException, InterruptedException {
        String version = upload(pdf);
        secondsUntilSheet(version, 1, System.nanoTime());
        String table = "/t/versions/" + version + "/light-table";
        String token = team.token(table);
        Added few = adding(version, token, table, TIMES, 0);
        adding(version, token, table, MARKS - TIMES, TIMES);
        Added many = adding(version, token, table, TIMES, MARKS);
        say(
                "adding a mark, alone: with up to %d marks p50 %.1f ms, p95 %.1f ms; with %d and more p50 %.1f ms, "
                        + "p95 %.1f ms (at most 120), %.2f times as long",
                TIMES,
                few.adding[TIMES / 2],
                few.adding[TIMES * 95 / 100],
                MARKS,
                many.adding[TIMES / 2],
                many.adding[TIMES * 95 / 100],
                many.adding[TIMES / 2] / few.adding[TIMES / 2]);
        say(
                "seeing the sheet after it: p50 %.1f ms, p95 %.1f ms; p50 %.1f ms, p95 %.1f ms (at most 120)",
                few.seeing[TIMES / 2],
                few.seeing[TIMES * 95 / 100],
                many.seeing[TIMES / 2],
                many.seeing[TIMES * 95 / 100]);
        say("  the page of that sheet: %.0f KB as text", team.size(table) / 1e3);
    }

    /** Milliseconds of each, in order of length. */
    private record Added(double[] adding, double[] seeing) {}

    private Added adding(String version, String token, String table, int times, int from)
            throws IOException, InterruptedException {
        Added added = new Added(new double[times], new double[times]);
        for (int i = 0; i < times; i++) {
            int n = from + i;
            String form = String.format(
                    Locale.ROOT,
                    "page=1&shape=RECTANGLE&x1=%.4f&y1=%.4f&x2=0.02&y2=0.02"
                            + "&intent=CHANGE&note=Mark+%d+of+many&audience=client",
                    0.03 + n % 20 * 0.045,
                    0.03 + n / 20 * 0.045,
                    n);
            long asked = System.nanoTime();
            team.post("/t/versions/" + version + "/marks", token, form);
            long kept = System.nanoTime();
            team.size(table);
            added.adding[i] = (kept - asked) / 1e6;
            added.seeing[i] = (System.nanoTime() - kept) / 1e6;
        }
        Arrays.sort(added.adding);
        Arrays.sort(added.seeing);
        return added;
    }

    private static void say(String format, Object... values) {
        System.out.println(String.format(Locale.ROOT, format, values));
    }
}
