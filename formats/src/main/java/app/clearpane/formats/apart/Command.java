package app.clearpane.formats.apart;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * The command that starts a process which opens files: behind everything else in turn, and without a network, where the
 * system lets us.
 */
final class Command {
    /** The heap of one process: what opening one file may take. */
    private static final String HEAP = "-Xmx512m";

    private static final List<String> NICE = List.of("/usr/bin/nice", "-n", "10");
    private static final List<String> ALONE = List.of("/usr/bin/unshare", "--map-root-user", "--net");
    private static final List<String> BEFORE = before();

    private Command() {}

    static List<String> whole() {
        List<String> command = new ArrayList<>(BEFORE);
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                HEAP,
                "-XX:+UseSerialGC",
                "-XX:-UsePerfData",
                "-Djava.awt.headless=true",
                "-Djava.io.tmpdir=" + System.getProperty("java.io.tmpdir"),
                "-cp",
                System.getProperty("java.class.path")));
        if (Command.class
                .getProtectionDomain()
                .getCodeSource()
                .getLocation()
                .toString()
                .contains("BOOT-INF")) {
            command.add("-Dloader.main=" + ApartProcess.class.getName());
            command.add("org.springframework.boot.loader.launch.PropertiesLauncher");
        } else {
            command.add(ApartProcess.class.getName());
        }
        return command;
    }

    /** Whether processes have no network here. */
    static boolean withoutNetwork() {
        return BEFORE.containsAll(ALONE);
    }

    private static List<String> before() {
        List<String> before = new ArrayList<>();
        for (List<String> part : List.of(NICE, ALONE)) {
            List<String> tried = new ArrayList<>(part);
            tried.add("true");
            if (Files.isExecutable(Path.of(part.get(0))) && works(tried)) {
                before.addAll(part);
            }
        }
        return List.copyOf(before);
    }

    private static boolean works(List<String> command) {
        try {
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            boolean ended = process.waitFor(5, TimeUnit.SECONDS);
            process.destroyForcibly();
            return ended && process.exitValue() == 0;
        } catch (IOException cannot) {
            return false;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
