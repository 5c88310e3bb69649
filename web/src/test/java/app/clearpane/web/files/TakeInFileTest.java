package app.clearpane.web.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Uploads;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.files.LookAfterVault;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.Acting;
import app.clearpane.web.DemoHouse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.util.unit.DataSize;

/** Nobody fills the house, what nothing names goes, and what was altered is found. */
class TakeInFileTest extends DemoHouse {
    @Autowired
    private Vault vault;

    @Autowired
    private Uploads uploads;

    @Autowired
    private HouseSettings house;

    @Autowired
    private LookAfterVault lookAfterVault;

    @Autowired
    private ProjectFiles files;

    @Autowired
    private DSLContext db;

    private Vault.Stored take(TakeInFile takeIn, Actor by, int bytes, int fill) throws IOException {
        ProjectId project = projects.active().get(0).id();
        byte[] content = new byte[bytes];
        java.util.Arrays.fill(content, (byte) fill);
        return takeIn.take(project, by, new ByteArrayInputStream(content));
    }

    private TakeInFile with(int person, int link) {
        return new TakeInFile(
                vault,
                uploads,
                house,
                new TakeInFile.Quotas(
                        DataSize.ofKilobytes(person),
                        DataSize.ofKilobytes(link),
                        DataSize.ofGigabytes(100),
                        DataSize.ofGigabytes(10)),
                clock);
    }

    @Test
    void everybodyHasSoMuchRoomADayAndWhatIsRefusedIsNotKept() throws Exception {
        TakeInFile takeIn = with(10, 4);
        Actor ines = Acting.team("Quota of Ines");
        take(takeIn, ines, 6_000, 1);
        assertThatThrownBy(() -> take(takeIn, ines, 6_000, 2))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Nothing of it was kept");
        byte[] refused = new byte[6_000];
        java.util.Arrays.fill(refused, (byte) 2);
        assertThat(vault.path(Sha256.of(refused))).doesNotExist();
        take(takeIn, ines, 4_000, 3);
        Actor guest = new Actor.Guest(new SeatId(UUID.randomUUID()), "Paint shop", "");
        take(takeIn, Acting.team("Quota of Teo"), 6_000, 4);
        assertThatThrownBy(() -> take(takeIn, guest, 6_000, 5))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("by this link");
        take(takeIn, guest, 4_000, 6);
    }

    @Test
    void whatNothingNamesIsSweptAfterADayAndWhatWasAlteredIsFound() throws Exception {
        await().atMost(Duration.ofMinutes(2))
                .until(() ->
                        db.fetchSingle("select count(*) from scheduled_tasks").get(0, Integer.class) == 0);
        Vault.Stored unnamed = take(with(10, 4), Acting.team("Sweeps"), 100, 7);
        Files.setLastModifiedTime(vault.path(unnamed.sha256()), FileTime.from(clock.instant()));
        lookAfterVault.sweep();
        assertThat(vault.path(unnamed.sha256())).as("may still be named").exists();
        Files.setLastModifiedTime(
                vault.path(unnamed.sha256()), FileTime.from(clock.instant().minusSeconds(100_000)));
        lookAfterVault.sweep();
        assertThat(vault.path(unnamed.sha256())).doesNotExist();
        assertThat(lookAfterVault.scrub()).isEmpty();
        Path one = vault.path(files.ofProject(projects.active().get(0).id()).stream()
                .findFirst()
                .map(file -> file.sha256())
                .orElseGet(() -> files.named().iterator().next()));
        byte[] was = Files.readAllBytes(one);
        try {
            Files.write(one, new byte[] {1});
            assertThat(lookAfterVault.scrub())
                    .singleElement()
                    .hasToString(one.getFileName().toString());
        } finally {
            Files.write(one, was);
        }
    }
}
