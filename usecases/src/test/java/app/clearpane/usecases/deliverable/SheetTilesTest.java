package app.clearpane.usecases.deliverable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.formats.apart.DrawApart;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Squares for looking closely are a convenience: those nobody looks at go. */
class SheetTilesTest {
    private static final Instant NOW = Instant.parse("2027-03-01T03:17:00Z");

    @TempDir
    private Path data;

    private Path squares(String name, int daysAgo) throws IOException {
        Path folder = Files.createDirectories(
                data.resolve("tiles").resolve(name.substring(0, 2)).resolve(name));
        Files.writeString(folder.resolve("1-1-0-0.jpg"), "a square");
        Files.setLastModifiedTime(folder, FileTime.from(NOW.minus(Duration.ofDays(daysAgo))));
        return folder;
    }

    private SheetTiles tiles() {
        HouseSettings house = mock(HouseSettings.class);
        when(house.workshop()).thenReturn(data.resolve("workshop"));
        return new SheetTiles(
                mock(Drawings.class),
                mock(Vault.class),
                mock(DrawApart.class),
                house,
                Clock.fixed(NOW, ZoneOffset.UTC));
    }

    @Test
    void thoseOfTwoMonthsAreSweptAndOthersStay() throws Exception {
        Path old = squares("aa11", 61);
        Path recent = squares("aa22", 59);
        Path today = squares("bb33", 0);
        assertThat(tiles().sweep()).isEqualTo(1);
        assertThat(old).doesNotExist();
        assertThat(recent.resolve("1-1-0-0.jpg")).exists();
        assertThat(today.resolve("1-1-0-0.jpg")).exists();
        assertThat(tiles().sweep()).isZero();
    }

    @Test
    void whereNothingWasLookedAtCloselyThereIsNothingToSweep() throws Exception {
        assertThat(tiles().sweep()).isZero();
    }
}
