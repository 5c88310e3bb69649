package app.clearpane.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CoreIsPlainTest {
    private static final List<String> NOT_HERE = List.of(
            "import org.springframework",
            "import org.jooq",
            "import java.sql",
            "import jakarta",
            "import java.net.http",
            "LocalDate.now(",
            "Instant.now(",
            "import java.util.Random",
            "System.currentTimeMillis");

    @Test
    void knowsNoFrameworkNoClockAndNoChance() throws IOException {
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            List<Path> all =
                    sources.filter(path -> path.toString().endsWith(".java")).toList();
            assertThat(all).hasSizeGreaterThan(30);
            for (Path source : all) {
                assertThat(Files.readString(source))
                        .as(source.toString())
                        .doesNotContain(NOT_HERE.toArray(String[]::new));
            }
        }
    }

    @Test
    void saysInEachRoomWhatItIsFor() throws IOException {
        try (Stream<Path> folders = Files.walk(Path.of("src/main/java/app/clearpane/core"))) {
            assertThat(folders.filter(Files::isDirectory).filter(folder -> !folder.endsWith("core")))
                    .allSatisfy(folder -> assertThat(folder.resolve("package-info.java"))
                            .content()
                            .contains("@NullMarked")
                            .startsWith("/** "));
        }
    }
}
