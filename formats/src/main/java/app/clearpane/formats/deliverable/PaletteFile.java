package app.clearpane.formats.deliverable;

import app.clearpane.core.compare.Palette;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;

/** A palette as files that other programs read. */
public enum PaletteFile {
    /** Custom properties of a style sheet. */
    CSS("text/css") {
        @Override
        public String write(String name, Palette palette) {
            StringBuilder out = new StringBuilder(":root {\n");
            List<Palette.Colour> colours = palette.colours();
            for (int i = 0; i < colours.size(); i++) {
                out.append(
                        "  --colour-%d: %s;\n".formatted(i + 1, colours.get(i).hex()));
            }
            return out.append("}\n").toString();
        }
    },
    /** An array of objects with hex and share. */
    JSON("application/json") {
        @Override
        public String write(String name, Palette palette) {
            JsonMapper mapper = JsonMapper.builder().build();
            ArrayNode colours = mapper.createArrayNode();
            palette.colours().forEach(colour -> colours.addObject()
                    .put("hex", colour.hex())
                    .put("share", Math.round(colour.share() * 10_000) / 10_000.0));
            return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(colours) + "\n";
        }
    },
    /** A palette of GIMP, which other drawing programs read too. */
    GPL("text/plain") {
        @Override
        public String write(String name, Palette palette) {
            StringBuilder out =
                    new StringBuilder("GIMP Palette\nName: " + name.replaceAll("\\s+", " ") + "\nColumns: 8\n#\n");
            palette.colours()
                    .forEach(colour -> out.append(String.format(
                            Locale.ROOT,
                            "%3d %3d %3d\t%s\n",
                            colour.rgb() >> 16,
                            colour.rgb() >> 8 & 255,
                            colour.rgb() & 255,
                            colour.hex())));
            return out.toString();
        }
    };

    private final String mediaType;

    PaletteFile(String mediaType) {
        this.mediaType = mediaType;
    }

    /** The media type of what is written. */
    public String mediaType() {
        return mediaType;
    }

    /** The ending of a file's name, without a dot. */
    public String ending() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The palette as text. @param name what it is of */
    public abstract String write(String name, Palette palette);
}
