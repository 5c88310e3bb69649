package app.clearpane.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A house that runs in a process of its own, as people start it. */
final class HouseProcess implements AutoCloseable {
    /** One line for each generation of the serial collector, in the words of JDK 17 and of later ones. */
    private static final Pattern USED =
            Pattern.compile("(?im)^ *(?:def new generation|tenured generation|DefNew|Tenured) +total.* used (\\d+)K");

    private final Process process;
    private final List<String> lines = new ArrayList<>();
    private final double secondsToStart;

    private HouseProcess(Process process, long begun) throws IOException {
        this.process = process;
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            lines.add(line);
            if (line.startsWith("Ctrl-C")) {
                break;
            }
        }
        this.secondsToStart = (System.nanoTime() - begun) / 1e9;
        if (lines.isEmpty() || !lines.get(lines.size() - 1).startsWith("Ctrl-C")) {
            throw new IOException("the house did not start:\n" + String.join("\n", lines));
        }
        Thread drain = new Thread(() -> drain(out));
        drain.setDaemon(true);
        drain.start();
    }

    /** Keeps reading, so that the house never waits to be heard; ends when the house does. */
    private static void drain(BufferedReader out) {
        try {
            while (out.readLine() != null) {
                Thread.onSpinWait();
            }
        } catch (IOException ended) {
            Thread.currentThread().interrupt();
        }
    }

    /** Starts the demo by the script people use, and waits until it says that it is there. */
    static HouseProcess start(Path data, int port) throws IOException {
        return start(data, port, Map.of());
    }

    /** The same with more in its environment. */
    static HouseProcess start(Path data, int port, Map<String, String> environment) throws IOException {
        ProcessBuilder builder = new ProcessBuilder("./run", "demo").redirectErrorStream(true);
        builder.environment().putAll(Map.of("CLEARPANE_DATA", data.toString(), "CLEARPANE_PORT", String.valueOf(port)));
        builder.environment().putAll(environment);
        long begun = System.nanoTime();
        return new HouseProcess(builder.start(), begun);
    }

    /** Seconds from the command until it answered. */
    double secondsToStart() {
        return secondsToStart;
    }

    /** The sign-in link it printed for somebody. */
    String linkOf(String name) {
        return lines.stream()
                .filter(line -> line.startsWith("sign in as " + name))
                .map(line -> line.substring(line.indexOf("http")))
                .findFirst()
                .orElseThrow();
    }

    /** Megabytes of heap in use after a collection. */
    double heapAfterCollection() throws IOException, InterruptedException {
        jcmd("GC.run");
        Matcher used = USED.matcher(jcmd("GC.heap_info"));
        double kilobytes = 0;
        while (used.find()) {
            kilobytes += Double.parseDouble(used.group(1));
        }
        return kilobytes / 1024;
    }

    /** Kills it, as when the power goes. */
    void kill() throws InterruptedException {
        process.descendants().forEach(ProcessHandle::destroyForcibly);
        process.destroyForcibly().waitFor();
    }

    /** Ends the processes that wait to draw, as they end by themselves after some minutes. */
    void endDrawing() {
        process.descendants().forEach(ProcessHandle::destroyForcibly);
    }

    private String jcmd(String command) throws IOException, InterruptedException {
        Process jcmd = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(),
                        String.valueOf(process.pid()),
                        command)
                .redirectErrorStream(true)
                .start();
        String said = new String(jcmd.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        jcmd.waitFor(20, TimeUnit.SECONDS);
        return said;
    }

    @Override
    public void close() throws IOException {
        process.destroy();
        try {
            if (!process.waitFor(20, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new IOException("the house did not stop within 20 seconds");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
