import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.geom.PathIterator;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Copies an SVG with its lettering turned into outlines, as artwork is handed over: it looks the same without the fonts. */
class Outline {
  private static final Pattern TEXT = Pattern.compile("<text ([^>]*)>([^<]*)</text>");
  private static final Path FONTS = Path.of("../../../../formats/src/main/resources/fonts");

  public static void main(String[] files) throws Exception {
    Matcher text = TEXT.matcher(Files.readString(Path.of(files[0])));
    Files.writeString(Path.of(files[1]),
        text.replaceAll(found -> Matcher.quoteReplacement(outlined(found.group(1), found.group(2)))));
  }

  private static String outlined(String attributes, String letters) {
    try {
      boolean light = "400".equals(attribute(attributes, "font-weight", "700"));
      Font font = Font.createFont(Font.TRUETYPE_FONT, 
          FONTS.resolve(light ? "AtkinsonHyperlegibleNext_400Regular.ttf" : "BricolageGrotesque_700Bold.ttf").toFile())
          .deriveFont(Float.parseFloat(attribute(attributes, "font-size", "16")));
      PathIterator outline = font.createGlyphVector(new FontRenderContext(null, true, true), letters)
          .getOutline(Float.parseFloat(attribute(attributes, "x", "0")),
              Float.parseFloat(attribute(attributes, "y", "0"))).getPathIterator(null);
      String fill = attribute(attributes, "fill", "");
      return "<path" + (fill.isEmpty() ? "" : " fill=\"" + fill + "\"") + " d=\"" + path(outline) + "\"/>";
    } catch (Exception e) {
      throw new IllegalStateException(letters, e);
    }
  }

  private static String attribute(String attributes, String name, String otherwise) {
    Matcher matcher = Pattern.compile("(?:^| )" + name + "=\"([^\"]*)\"").matcher(attributes);
    return matcher.find() ? matcher.group(1) : otherwise;
  }

  private static String path(PathIterator outline) {
    StringBuilder path = new StringBuilder();
    double[] at = new double[6];
    for (; !outline.isDone(); outline.next()) {
      int kind = outline.currentSegment(at);
      path.append("MLQCZ".charAt(kind));
      for (int i = 0; i < new int[] {2, 2, 4, 6, 0}[kind]; i++) {
        path.append(i == 0 ? "" : " ").append(String.format(Locale.ROOT, "%.1f", at[i]));
      }
    }
    return path.toString();
  }
}
