package app.clearpane.formats.deliverable;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** The kinds of file that can be looked at. */
enum MediaKind {
  PDF("application/pdf"),
  SVG("image/svg+xml"),
  PNG("image/png"),
  JPEG("image/jpeg"),
  WEBP("image/webp"),
  GIF("image/gif"),
  TIFF("image/tiff");

  private final String mediaType;

  MediaKind(String mediaType) {
    this.mediaType = mediaType;
  }

  String mediaType() {
    return mediaType;
  }

  /** What a file is by its content; the name is only quoted. */
  static MediaKind of(Path file, String name) throws IOException, UnusableFile {
    if (Files.size(file) == 0) {
      throw new UnusableFile("“" + name + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and choose it once more.");
    }
    String found = ContentType.of(file);
    return Arrays.stream(values()).filter(kind -> kind.mediaType.equals(found)).findFirst().orElseThrow(() -> new UnusableFile(
        "“" + name + "” is " + ContentType.inWords(found) + ". PNG, JPEG, WebP, GIF, TIFF, SVG and PDF can be looked at and marked up. Nothing was kept."));
  }
}
