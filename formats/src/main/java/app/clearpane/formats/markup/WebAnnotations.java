package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/**
 * Marks as W3C Web Annotations in JSON-LD: each an {@code Annotation} whose target is the file by its digest, with an
 * {@code SvgSelector} in the page's own units and a {@code FragmentSelector} for the page (RFC 8118 {@code page=}).
 */
public final class WebAnnotations {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private WebAnnotations() {}

  /**
   * A mark as it is written out.
   *
   * @param id an IRI, e.g. {@code urn:uuid:…}
   * @param label "2·3"
   * @param progress in words
   * @param replies the thread
   */
  public record Annotation(String id, String label, Place place, PageSize size, Intent intent, String progress, String note, String author, Instant at, List<Reply> replies) {}

  /** An answer in a thread. */
  public record Reply(String said, String author, Instant at) {}

  /** An annotation collection over one file. */
  public static String write(Sha256 file, String mediaType, List<Annotation> annotations) {
    List<Object> items = new ArrayList<>();
    annotations.forEach(annotation -> {
      items.add(mark(file, mediaType, annotation));
      annotation.replies().forEach(reply -> items.add(reply(annotation, reply)));
    });
    Map<String, Object> page = new LinkedHashMap<>();
    page.put("@context", "http://www.w3.org/ns/anno.jsonld");
    page.put("type", "AnnotationCollection");
    page.put("total", items.size());
    page.put("first", Map.of("type", "AnnotationPage", "items", items));
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(page) + "\n";
  }

  private static Map<String, Object> mark(Sha256 file, String mediaType, Annotation annotation) {
    Map<String, Object> body = new LinkedHashMap<>();
    body.put("type", "TextualBody");
    body.put("value", annotation.note());
    body.put("format", "text/plain");
    body.put("purpose", annotation.intent() == Intent.QUESTION ? "questioning" : annotation.intent() == Intent.CHANGE ? "editing" : "commenting");
    Map<String, Object> tag = Map.of("type", "TextualBody", "purpose", "tagging", "value", annotation.intent().name().toLowerCase(Locale.ROOT));
    Map<String, Object> state = Map.of("type", "TextualBody", "purpose", "classifying", "value", annotation.progress());
    Map<String, Object> out = created(annotation.id(), annotation.author(), annotation.at());
    out.put("label", annotation.label());
    out.put("motivation", body.get("purpose"));
    out.put("body", List.of(body, tag, state));
    out.put("target", target(file, mediaType, annotation));
    return out;
  }

  private static Map<String, Object> target(Sha256 file, String mediaType, Annotation annotation) {
    Map<String, Object> svg = Map.of("type", "SvgSelector", "value", svg(annotation.place(), annotation.size()));
    Map<String, Object> onPage = new LinkedHashMap<>();
    onPage.put("type", "FragmentSelector");
    onPage.put("conformsTo", "http://tools.ietf.org/rfc/rfc8118");
    onPage.put("value", "page=" + annotation.place().page());
    onPage.put("refinedBy", svg);
    Map<String, Object> target = new LinkedHashMap<>();
    target.put("source", "urn:sha256:" + file.hex());
    target.put("format", mediaType);
    target.put("selector", onPage);
    return target;
  }

  private static Map<String, Object> reply(Annotation annotation, Reply reply) {
    Map<String, Object> out = created(annotation.id() + "#" + annotation.replies().indexOf(reply), reply.author(), reply.at());
    out.put("motivation", "replying");
    out.put("body", Map.of("type", "TextualBody", "value", reply.said(), "format", "text/plain"));
    out.put("target", annotation.id());
    return out;
  }

  private static Map<String, Object> created(String id, String author, Instant at) {
    Map<String, Object> out = new LinkedHashMap<>();
    out.put("id", id);
    out.put("type", "Annotation");
    out.put("created", at.toString());
    out.put("creator", Map.of("type", "Person", "name", author));
    return out;
  }

  private static String svg(Place place, PageSize size) {
    String shape;
    if (place instanceof Place.Rectangle r) {
      shape = "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\"/>".formatted(n(r.x() * size.width()), n(r.y() * size.height()),
          n(r.width() * size.width()), n(r.height() * size.height()));
    } else if (place instanceof Place.Arrow a) {
      shape = "<path d=\"M%s %sL%s %s\"/>".formatted(n(a.fromX() * size.width()), n(a.fromY() * size.height()), n(a.toX() * size.width()), n(a.toY() * size.height()));
    } else {
      shape = "<circle cx=\"%s\" cy=\"%s\" r=\"%s\"/>".formatted(n(place.centreX() * size.width()), n(place.centreY() * size.height()), n(0.02 * size.width()));
    }
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %s %s\">%s</svg>".formatted(n(size.width()), n(size.height()), shape);
  }

  private static String n(double number) {
    return String.format(Locale.ROOT, "%.4f", number).replaceAll("\\.?0+$", "");
  }
}
