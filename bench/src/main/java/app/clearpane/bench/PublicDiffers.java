package app.clearpane.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Public pixel differs on the same two pages, as yardsticks. They are fetched from npm for the measurement only. */
final class PublicDiffers {
    private PublicDiffers() {}

    /** Milliseconds by name; empty if Node or the network is missing. */
    static Map<String, Double> measured() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("clear-pane-differs");
        ChangeMapBench.write(folder);
        Map<String, Double> result = new LinkedHashMap<>();
        if (run(List.of(
                                "npm",
                                "--prefix",
                                folder.toString(),
                                "install",
                                "--silent",
                                "--no-audit",
                                "--no-fund",
                                "pixelmatch@7",
                                "pngjs@7",
                                "odiff-bin@4"))
                        .exit
                == 0) {
            for (String line : run(List.of("node", "bench/differs.mjs", folder.toString())).lines) {
                String[] parts = line.split(" ");
                result.put(parts[0], Double.valueOf(parts[1]));
            }
        }
        return result;
    }

    private record Ran(int exit, List<String> lines) {}

    private static Ran run(List<String> command) throws InterruptedException {
        try {
            Process process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            try (BufferedReader reader = process.inputReader()) {
                List<String> lines = reader.lines().toList();
                return new Ran(process.waitFor(), lines);
            }
        } catch (IOException missing) {
            return new Ran(1, List.of());
        }
    }
}
