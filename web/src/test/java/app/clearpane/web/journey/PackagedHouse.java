package app.clearpane.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;

/** The application as it is packaged, wired and started by its one command, with browsers that look at it. */
final class PackagedHouse implements AutoCloseable {
    private static final String LAST_LINE = "Ctrl-C stops it.";
    private final Process process;
    private final Browsers browsers;
    private final List<String> said = new CopyOnWriteArrayList<>();

    private PackagedHouse(int port) throws IOException {
        ProcessBuilder start = new ProcessBuilder("./run", "demo").directory(new File(".."));
        Map<String, String> settings = start.environment();
        settings.put("CLEARPANE_PORT", String.valueOf(port));
        settings.put("CLEARPANE_MAIL_PORT", String.valueOf(freePort()));
        settings.put(
                "CLEARPANE_DATA", Files.createTempDirectory("clear-pane-wired").toString());
        process = start.redirectErrorStream(true).start();
        BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            said.add(line);
            if (line.equals(LAST_LINE)) {
                break;
            }
        }
        assertThat(said).as("what it said until it ended or was ready").contains(LAST_LINE);
        Thread rest = new Thread(() -> lines.lines().forEach(said::add));
        rest.setDaemon(true);
        rest.start();
        browsers = new Browsers("http://localhost:" + port);
    }

    static PackagedHouse opens() {
        try {
            return new PackagedHouse(freePort());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @Override
    public void close() {
        browsers.leave("whole-job-");
        browsers.close();
        process.descendants().forEach(ProcessHandle::destroy);
        process.destroy();
        process.onExit().join();
    }

    Someone atDesk() {
        return browsers.atDesk();
    }

    Someone onPhone() {
        return browsers.onPhone();
    }

    /** The link in the newest mail to somebody whose subject begins so. */
    String linkInMail(String address, String subject) {
        return browsers.linkInMail(address, subject);
    }

    /** A link that lets one of the team in, as it was said at the start. */
    String linkOfTeam(String member) {
        return said.stream()
                .filter(line -> line.contains("<" + member + ">"))
                .map(line -> line.substring(line.lastIndexOf(' ') + 1))
                .findFirst()
                .orElseThrow();
    }

    /** The day it is there. */
    LocalDate today() {
        return LocalDate.now(ZoneId.of("Europe/London"));
    }
}
