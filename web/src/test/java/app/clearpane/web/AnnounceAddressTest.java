package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.clearpane.store.agency.SignInLinks;
import app.clearpane.usecases.HouseSettings;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.util.unit.DataSize;

class AnnounceAddressTest {
    private static final HouseSettings HOUSE = new HouseSettings(
            Path.of("data"),
            "http://localhost",
            "studio@clear-pane.example",
            DataSize.ofMegabytes(1),
            50,
            Duration.ofSeconds(60),
            true);

    @Test
    void aDemosDataAreNotServedWhereverTheyCameFrom() {
        SignInLinks signInLinks = mock(SignInLinks.class);
        assertThatCode(() -> new AnnounceAddress(HOUSE, signInLinks)).doesNotThrowAnyException();
        when(signInLinks.anyOfADemo()).thenReturn(true);
        assertThatThrownBy(() -> new AnnounceAddress(HOUSE, signInLinks)).hasMessageContaining("a demo's");
    }
}
