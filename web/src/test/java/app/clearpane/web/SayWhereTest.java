package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.store.agency.WaysIn;
import app.clearpane.usecases.House;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.util.unit.DataSize;

class SayWhereTest {
    private static final House HOUSE = new House(
            Path.of("data"),
            "http://localhost",
            "studio@clear-pane.example",
            DataSize.ofMegabytes(1),
            50,
            Duration.ofSeconds(60),
            true);

    @Test
    void aDemosDataAreNotServedWhereverTheyCameFrom() {
        WaysIn waysIn = mock(WaysIn.class);
        assertThatCode(() -> new SayWhere(HOUSE, waysIn)).doesNotThrowAnyException();
        when(waysIn.anyOfADemo()).thenReturn(true);
        assertThatThrownBy(() -> new SayWhere(HOUSE, waysIn)).hasMessageContaining("a demo's");
    }
}
