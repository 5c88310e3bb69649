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
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Marks as W3C Web Annotations in JSON-LD: each an {@code Annotation} whose target is the file by its digest, with an
 * {@code SvgSelector} in the page's own units and a {@code FragmentSelector} for the page (RFC 8118 {@code page=}).
 *
 * <p>Annotations written elsewhere are read as far as their selectors say a place on a page: {@code SvgSelector}, {@code xywh=} in percent or pixels, and
 * {@code page=}, alone or refined by another.
 */
public final class WebAnnotations {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private WebAnnotations() {}

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
    Map<String, Object> state = Map.of("type", "TextualBody", "purpose", "classifying", "value", annotation.progress().name().toLowerCase(Locale.ROOT).replace('_', ' '));
    Map<String, Object> out = created(annotation.id(), annotation.author(), annotation.at());
    out.put("label", annotation.label());
    out.put("motivation", body.get("purpose"));
    out.put("body", List.of(body, tag, state));
    out.put("target", target(file, mediaType, annotation));
    return out;
  }

  private static Map<String, Object> target(Sha256 file, String mediaType, Annotation annotation) {
    Map<String, Object> svg = Map.of("type", "SvgSelector", "value", SvgShapes.write(annotation.place(), annotation.size()));
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

  private static Map<String, Object> reply(Annotation annotation, Annotation.Reply reply) {
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

  /**
   * Reads annotations, or a collection of them.
   *
   * @param sizes of the pages of the file they are about, by page number; a page that is not there takes no mark
   * @throws IllegalArgumentException if the text is not JSON
   */
  public static BroughtMark.Read read(String text, Map<Integer, PageSize> sizes) {
    JsonNode root;
    try {
      root = JSON.readTree(text);
    } catch (JacksonException notJson) {
      throw new IllegalArgumentException("not JSON: " + notJson.getOriginalMessage(), notJson);
    }
    List<BroughtMark> marks = new ArrayList<>();
    List<String> skipped = new ArrayList<>();
    int number = 0;
    for (JsonNode item : items(root)) {
      number++;
      String called = item.path("label").asString("annotation " + number);
      if (!"replying".equals(item.path("motivation").asString(""))) {
        try {
          marks.add(mark(item, sizes, number));
        } catch (IllegalArgumentException unread) {
          skipped.add(called + ": " + unread.getMessage());
        }
      }
    }
    return new BroughtMark.Read(marks, skipped);
  }

  private static List<JsonNode> items(JsonNode root) {
    JsonNode items = root.isArray() ? root : root.path("first").has("items") ? root.path("first").path("items") : root.has("items") ? root.path("items") : root;
    List<JsonNode> result = new ArrayList<>();
    if (items.isArray()) {
      items.forEach(result::add);
    } else if (items.has("target")) {
      result.add(items);
    }
    return result;
  }

  private static BroughtMark mark(JsonNode item, Map<Integer, PageSize> sizes, int number) {
    JsonNode target = item.path("target").isArray() ? item.path("target").path(0) : item.path("target");
    Place place = place(target.path("selector").isArray() ? target.path("selector").path(0) : target.path("selector"), sizes);
    String note = "";
    Intent intent = Intent.CHANGE;
    for (JsonNode body : item.path("body").isArray() ? item.path("body") : List.of(item.path("body"))) {
      String value = body.isString() ? body.stringValue() : body.path("value").asString("");
      switch (body.path("purpose").asString("")) {
        case "tagging" -> intent = intent(value, intent);
        case "classifying" -> { }
        default -> note = note.isEmpty() ? value : note + "\n" + value;
      }
    }
    if (note.isBlank()) {
      throw new IllegalArgumentException("it says nothing");
    }
    JsonNode creator = item.path("creator");
    String author = creator.isString() ? creator.stringValue() : creator.path("name").asString("");
    String id = item.path("id").asString("");
    return new BroughtMark(id.isEmpty() ? "annotation:" + number + ":" + Sha256.ofText(item.toString()).hex() : id, place, intent, note, author);
  }

  private static Intent intent(String word, Intent otherwise) {
    for (Intent intent : Intent.values()) {
      if (intent.name().equalsIgnoreCase(word)) {
        return intent;
      }
    }
    return otherwise;
  }

  private static Place place(JsonNode selector, Map<Integer, PageSize> sizes) {
    int page = 1;
    for (JsonNode at = selector; !at.isMissingNode() && !at.isNull(); at = at.path("refinedBy")) {
      String value = at.path("value").asString("");
      String type = at.path("type").asString("");
      if (type.equals("SvgSelector")) {
        return SvgShapes.read(value, page, size(sizes, page));
      }
      if (type.equals("FragmentSelector") && value.contains("page=")) {
        page = page(value);
      }
      if (type.equals("FragmentSelector") && value.contains("xywh=")) {
        return SvgShapes.box(value.substring(value.indexOf("xywh=") + 5), page, size(sizes, page));
      }
    }
    throw new IllegalArgumentException("it names no place on a page that can be read here");
  }

  private static int page(String fragment) {
    try {
      return Integer.parseInt(fragment.replaceAll(".*page=(\\d+).*", "$1"));
    } catch (NumberFormatException unreadable) {
      throw new IllegalArgumentException("its page is not a number: " + fragment);
    }
  }

  private static PageSize size(Map<Integer, PageSize> sizes, int page) {
    PageSize size = sizes.get(page);
    if (size == null) {
      throw new IllegalArgumentException("there is no sheet " + page);
    }
    return size;
  }
}
