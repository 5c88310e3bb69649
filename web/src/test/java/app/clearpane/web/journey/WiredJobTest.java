package app.clearpane.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The whole job in the application as it is packaged, wired and started by its one command. */
class WiredJobTest {
    private static final String LAST_LINE = "Ctrl-C stops it.";
    private Process house;
    private Browsers browsers;
    private final List<String> said = new CopyOnWriteArrayList<>();

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @BeforeEach
    void opens() throws IOException {
        int port = freePort();
        ProcessBuilder start = new ProcessBuilder("./run", "demo").directory(new File(".."));
        Map<String, String> settings = start.environment();
        settings.put("CLEARPANE_PORT", String.valueOf(port));
        settings.put("CLEARPANE_MAIL_PORT", String.valueOf(freePort()));
        settings.put(
                "CLEARPANE_DATA", Files.createTempDirectory("clear-pane-wired").toString());
        house = start.redirectErrorStream(true).start();
        BufferedReader lines =
                new BufferedReader(new InputStreamReader(house.getInputStream(), StandardCharsets.UTF_8));
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

    @AfterEach
    void closes() throws InterruptedException {
        if (browsers != null) {
            browsers.leave("wired-");
            browsers.close();
        }
        house.descendants().forEach(ProcessHandle::destroy);
        house.destroy();
        house.waitFor();
    }

    @Test
    void fromNewProjectToRelease() throws IOException {
        new WholeJob(new WholeJob.House() {
                    @Override
                    public Someone atDesk() {
                        return browsers.atDesk();
                    }

                    @Override
                    public Someone onPhone() {
                        return browsers.onPhone();
                    }

                    @Override
                    public String linkInMail(String address, String subject) {
                        return browsers.linkInMail(address, subject);
                    }

                    @Override
                    public String linkOfTeam(String member) {
                        return said.stream()
                                .filter(line -> line.contains("<" + member + ">"))
                                .map(line -> line.substring(line.lastIndexOf(' ') + 1))
                                .findFirst()
                                .orElseThrow();
                    }

                    @Override
                    public boolean tellsAtOnce() {
                        return false;
                    }

                    @Override
                    public LocalDate today() {
                        return LocalDate.now(ZoneId.of("Europe/London"));
                    }
                })
                .isDone();
    }
}
