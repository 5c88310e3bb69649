package app.clearpane.store.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.files.Sha256;
import app.clearpane.store.FreshDatabase;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VaultTest {
    @TempDir
    private Path folder;

    private static InputStream text(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }

    private List<Path> files() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    @Test
    void keepsTheSameBytesOnceUnderTheirDigest() throws IOException {
        Vault vault = Vault.in(folder);
        Vault.Stored stored = vault.store(text("map"), 100);
        assertThat(vault.store(text("map"), 100)).isEqualTo(stored);
        assertThat(stored).isEqualTo(new Vault.Stored(Sha256.ofText("map"), 3));
        assertThat(files()).hasSize(1);
        assertThat(vault.open(stored.sha256())).hasContent("map");
    }

    @Test
    void keepsNothingOfWhatIsTooLargeOrBreaksOff() throws IOException {
        Vault vault = Vault.in(folder);
        assertThatThrownBy(() -> vault.store(text("four"), 3)).isInstanceOf(Vault.TooLarge.class);
        assertThat(vault.store(text("four"), 4).size()).isEqualTo(4);
        InputStream breaking = new InputStream() {
            private int left = 100_000;

            @Override
            public int read() throws IOException {
                if (left-- <= 0) {
                    throw new IOException("the line went dead");
                }
                return 'x';
            }
        };
        assertThatThrownBy(() -> vault.store(breaking, Long.MAX_VALUE)).isInstanceOf(IOException.class);
        Vault full = Vault.watched(folder, step -> {
            throw new UncheckedIOException(new IOException("No space left on device"));
        });
        assertThatThrownBy(() -> full.store(text("five!"), 100)).hasMessageContaining("No space left");
        assertThat(files()).hasSize(1);
    }

    @Test
    void findsOneAlteredByte() throws IOException {
        Vault vault = Vault.in(folder);
        Sha256 stored = vault.store(text("the signed bytes"), 100).sha256();
        assertThat(vault.isIntact(stored)).isTrue();
        for (int position = 0; position < 16; position++) {
            byte[] bytes = Files.readAllBytes(vault.path(stored));
            bytes[position] ^= 1;
            Files.write(vault.path(stored), bytes);
            assertThat(vault.isIntact(stored)).as("byte " + position).isFalse();
            bytes[position] ^= 1;
            Files.write(vault.path(stored), bytes);
        }
        Files.delete(vault.path(stored));
        assertThat(vault.isIntact(stored)).isFalse();
    }

    @Test
    void sweepsOnlyWhatNothingNamesAndIsNotNew() throws IOException {
        Vault vault = Vault.in(folder);
        Sha256 named = vault.store(text("named"), 100).sha256();
        vault.store(text("forgotten"), 100);
        Files.writeString(folder.resolve("aside/half"), "half");
        assertThat(vault.sweep(Set.of(named)::contains, Instant.now().minusSeconds(3_600)))
                .isZero();
        assertThat(vault.sweep(Set.of(named)::contains, Instant.now().plusSeconds(60)))
                .isEqualTo(2);
        assertThat(vault.isIntact(named)).isTrue();
    }

    /** Kills a process for real at each step of storing its third version, starts again, and looks at what is there. */
    @Execution(ExecutionMode.CONCURRENT)
    @ParameterizedTest
    @ValueSource(strings = {"WRITTEN_ASIDE", "SYNCED", "MOVED", "IN_PLACE", "NAMED", "ACKNOWLEDGED"})
    void losesNothingThatWasAcknowledgedWhenKilled(String step) throws Exception {
        List<String> acknowledged = runUntilKilled(step);
        assertThat(acknowledged).hasSize(step.equals("ACKNOWLEDGED") ? 3 : 2);
        Vault vault = Vault.in(folder.resolve("vault"));
        Set<Sha256> named = new ProjectFiles(FreshDatabase.inFile(folder.resolve("house"))).named();
        for (Sha256 sha256 : named) {
            assertThat(vault.isIntact(sha256)).isTrue();
        }
        assertThat(named).extracting(Sha256::hex).containsAll(acknowledged);
        vault.sweep(named::contains, Instant.now().plusSeconds(60));
        try (Stream<Path> left = Files.walk(folder.resolve("vault"))) {
            assertThat(left.filter(Files::isRegularFile).count()).isEqualTo(named.size());
        }
    }

    private List<String> runUntilKilled(String step) throws IOException, InterruptedException {
        FreshDatabase.leaveInFile(folder.resolve("house"));
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        StoreUntilKilled.class.getName(),
                        folder.toString(),
                        step,
                        "2")
                .redirectErrorStream(true)
                .start();
        List<String> acknowledged = new ArrayList<>();
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null && !line.equals("waiting"); line = out.readLine()) {
                if (line.startsWith("acknowledged ")) {
                    acknowledged.add(line.substring(13));
                }
            }
            process.destroyForcibly().waitFor();
        }
        return acknowledged;
    }
}
