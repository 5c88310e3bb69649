package app.clearpane.store.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is sealed is told by nothing but the key, for the purpose it was sealed for. */
class SealTest {
    @TempDir
    private Path folder;

    @Test
    void opensForItsPurposeWithItsKeyAndNotOtherwise() throws Exception {
        Seal seal = Seal.in(folder.resolve("one"));
        String sealed = seal.close("ABCD 2345", "ines");
        assertThat(sealed).doesNotContain("ABCD").isNotEqualTo(seal.close("ABCD 2345", "ines"));
        assertThat(Seal.in(folder.resolve("one")).open(sealed, "ines"))
                .as("after another start")
                .contains("ABCD 2345");
        assertThat(seal.open(sealed, "teo")).isEmpty();
        assertThat(Seal.in(folder.resolve("other")).open(sealed, "ines")).isEmpty();
        char last = sealed.charAt(20) == 'A' ? 'B' : 'A';
        assertThat(seal.open(sealed.substring(0, 20) + last + sealed.substring(21), "ines"))
                .as("altered")
                .isEmpty();
        assertThat(seal.open("", "ines")).isEmpty();
        assertThat(seal.open("no base 64 at all", "ines")).isEmpty();
        if (Files.getFileStore(folder).supportsFileAttributeView("posix")) {
            assertThat(PosixFilePermissions.toString(
                            Files.getPosixFilePermissions(folder.resolve("one").resolve(Seal.FILE))))
                    .isEqualTo("rw-------");
        }
    }

    @Test
    void aKeyThatIsNoneIsNotUsed() throws Exception {
        Files.write(folder.resolve(Seal.FILE), new byte[] {1, 2, 3});
        assertThatThrownBy(() -> Seal.in(folder))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("is no key");
    }
}
