package app.clearpane.store.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A process that decides and releases is killed for real at a random moment: what it acknowledged is there, the Record
 * is sound, and nothing is half done.
 */
class KilledWhileDecidingTest {
    private static final int LONGEST_MILLIS = 900;

    @TempDir
    private Path folder;

    /** A few times as a rule; as often as one likes with {@code -Dkills=50}. */
    static Stream<Long> seeds() {
        return Stream.iterate(1L, seed -> seed + 1).limit(Integer.getInteger("kills", 3));
    }

    /** What a process said before it was killed. */
    private record Told(ProjectId project, int acknowledged) {}

    @Execution(ExecutionMode.CONCURRENT)
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void nothingAcknowledgedIsLostAndNothingIsHalfDone(long seed) throws Exception {
        Told told = runUntilKilled(new Random(seed).nextInt(LONGEST_MILLIS));
        DSLContext db = FreshDatabase.inFile(folder.resolve("house"));
        List<String> acts = actsOfASoundRecord(told, db);
        List<Version> versions = new Deliverables(db).versionsOf(told.project());
        Map<?, Round> rounds = new Deliverables(db)
                .roundsOf(told.project()).stream().collect(Collectors.toMap(Round::version, Function.identity()));
        List<VersionId> released = new Releases(db)
                .ofProject(told.project()).stream()
                        .map(Releases.Release::version)
                        .toList();
        assertThat(versions)
                .as("all that was acknowledged, and perhaps one more")
                .hasSizeBetween(told.acknowledged(), told.acknowledged() + 1);
        assertThat(versions).allSatisfy(version -> {
            assertThat(version.draft()).isFalse();
            assertThat(rounds.get(version.id()).open()).isFalse();
            assertThat(rounds.get(version.id()).said()).hasSize(1);
            assertThat(released).contains(version.id());
        });
        assertThat(acts).hasSize(3 * versions.size());
        System.out.println(told.acknowledged() + " releases acknowledged, " + versions.size() + " there");
    }

    private List<String> actsOfASoundRecord(Told told, DSLContext db) throws Exception {
        List<RecordChain.Fault> faults = new ArrayList<>();
        List<String> acts = new ArrayList<>();
        try (Stream<Records.Line> lines = new Records(db).whole(told.project().value())) {
            RecordChain check = new RecordChain();
            lines.forEach(line -> {
                check.check(line.stored()).ifPresent(faults::add);
                acts.add(line.stored().entry().act());
            });
        }
        assertThat(faults).isEmpty();
        return acts;
    }

    /** It is killed by its handle, which leaves open what it said before. */
    private Told runUntilKilled(int afterMillis) throws IOException, InterruptedException {
        FreshDatabase.leaveInFile(folder.resolve("house"));
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        DecideUntilKilled.class.getName(),
                        folder.toString())
                .redirectErrorStream(true)
                .start();
        ScheduledExecutorService killer = Executors.newSingleThreadScheduledExecutor();
        String project = "";
        int acknowledged = 0;
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("project ")) {
                    project = line.substring("project ".length());
                    killer.schedule(process.toHandle()::destroyForcibly, afterMillis, TimeUnit.MILLISECONDS);
                } else if (line.startsWith("acknowledged ")) {
                    acknowledged = Integer.parseInt(line.substring("acknowledged ".length()));
                }
            }
        } finally {
            process.destroyForcibly().waitFor();
            killer.shutdownNow();
        }
        return new Told(ProjectId.of(project), acknowledged);
    }
}
