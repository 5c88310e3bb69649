package app.clearpane.formats.deliverable;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.compare.Palette;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class PaletteFileTest {
    private static final Palette PALETTE =
            new Palette(List.of(new Palette.Colour(0x14706A, 0.75), new Palette.Colour(0x00FF08, 0.25)));

    @Test
    void writesCustomProperties() {
        assertThat(PaletteFile.CSS.write("Map", PALETTE))
                .isEqualTo(":root {\n  --colour-1: #14706a;\n  --colour-2: #00ff08;\n}\n");
    }

    @Test
    void writesJson() {
        JsonNode colours = JsonMapper.builder().build().readTree(PaletteFile.JSON.write("Map", PALETTE));
        assertThat(colours.get(1).get("hex").stringValue()).isEqualTo("#00ff08");
        assertThat(colours.get(1).get("share").doubleValue()).isEqualTo(0.25);
    }

    @Test
    void writesAGimpPaletteWhoseNameStaysOnItsLine() {
        assertThat(PaletteFile.GPL.write("Map\nColumns: 1", PALETTE))
                .isEqualTo("GIMP Palette\nName: Map Columns: 1\nColumns: 8\n#\n 20 112 106\t#14706a\n  0 255   "
                        + "8\t#00ff08\n");
    }
}
