package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.FoundAgain;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Marks as W3C Web Annotations in JSON-LD: each an {@code Annotation} whose target is the file by its digest, with an
 * {@code SvgSelector} in the page's own units and a {@code FragmentSelector} for the page (RFC 8118 {@code page=}).
 *
 * <p>Annotations written elsewhere are read as far as their selectors say a place on a page: {@code SvgSelector},
 * {@code xywh=} in percent or pixels, and {@code page=}, alone or refined by another; a stretch of a text,
 * {@code TextQuoteSelector}; or a time, {@code t=}.
 */
public final class WebAnnotations {
    /** The purpose of a body that holds other words for those marked. */
    private static final String INSTEAD = "replacing";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private WebAnnotations() {}

    /** An annotation collection over one file. */
    public static String write(Sha256 file, String mediaType, List<Annotation> annotations) {
        List<Object> items = new ArrayList<>();
        for (Annotation annotation : annotations) {
            items.add(mark(file, mediaType, annotation));
            for (int i = 0; i < annotation.replies().size(); i++) {
                items.add(reply(annotation, i));
            }
        }
        String id = "urn:sha256:" + file.hex() + ":annotations";
        Map<String, Object> page = new LinkedHashMap<>();
        page.put("@context", "http://www.w3.org/ns/anno.jsonld");
        page.put("id", id);
        page.put("type", "AnnotationCollection");
        page.put("total", items.size());
        Map<String, Object> first = new LinkedHashMap<>();
        first.put("id", id + ":1");
        first.put("type", "AnnotationPage");
        first.put("partOf", id);
        first.put("startIndex", 0);
        first.put("items", items);
        page.put("first", first);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(page) + "\n";
    }

    private static Map<String, Object> mark(Sha256 file, String mediaType, Annotation annotation) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("type", "TextualBody");
        body.put("value", annotation.note());
        body.put("format", "text/plain");
        body.put(
                "purpose",
                annotation.intent() == Intent.QUESTION
                        ? "questioning"
                        : annotation.intent() == Intent.CHANGE ? "editing" : "commenting");
        Map<String, Object> tag = Map.of(
                "type",
                "TextualBody",
                "purpose",
                "tagging",
                "value",
                annotation.intent().name().toLowerCase(Locale.ROOT));
        Map<String, Object> state = Map.of(
                "type",
                "TextualBody",
                "purpose",
                "classifying",
                "value",
                annotation.progress().name().toLowerCase(Locale.ROOT).replace('_', ' '));
        Map<String, Object> out = created(annotation.id(), annotation.author(), annotation.at());
        out.put("label", annotation.label());
        out.put("motivation", body.get("purpose"));
        Stream<Map<String, Object>> instead = annotation.replacement().stream()
                .map(words -> Map.of("type", "TextualBody", "purpose", INSTEAD, "value", words));
        out.put("body", Stream.concat(Stream.of(body, tag, state), instead).toList());
        out.put("target", target(file, mediaType, annotation));
        return out;
    }

    private static Map<String, Object> target(Sha256 file, String mediaType, Annotation annotation) {
        Map<String, Object> target = new LinkedHashMap<>();
        target.put("source", "urn:sha256:" + file.hex());
        target.put("format", mediaType);
        target.put("selector", selector(annotation.place(), annotation.size()));
        return target;
    }

    private static Object selector(Place place, PageSize size) {
        if (place instanceof Place.TextRange range) {
            return List.of(
                    Map.of(
                            "type",
                            "TextQuoteSelector",
                            "exact",
                            range.quote(),
                            "prefix",
                            range.before(),
                            "suffix",
                            range.after()),
                    Map.of("type", "TextPositionSelector", "start", range.start(), "end", range.end()));
        }
        if (place instanceof Place.Moment moment) {
            Map<String, Object> at = fragment(
                    "http://www.w3.org/TR/media-frags/",
                    "t=" + seconds(moment.from()) + (moment.isSpan() ? "," + seconds(moment.to()) : ""));
            moment.shape().ifPresent(shape -> at.put("refinedBy", svg(shape, size)));
            return at;
        }
        Map<String, Object> onPage = fragment("http://tools.ietf.org/rfc/rfc8118", "page=" + place.page());
        onPage.put("refinedBy", svg(place, size));
        return onPage;
    }

    private static Map<String, Object> fragment(String conformsTo, String value) {
        Map<String, Object> selector = new LinkedHashMap<>();
        selector.put("type", "FragmentSelector");
        selector.put("conformsTo", conformsTo);
        selector.put("value", value);
        return selector;
    }

    private static Map<String, Object> svg(Place shape, PageSize size) {
        return Map.of("type", "SvgSelector", "value", SvgShapes.write(shape, size));
    }

    private static String seconds(double seconds) {
        return BigDecimal.valueOf(seconds)
                .setScale(3, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static Map<String, Object> reply(Annotation annotation, int number) {
        Annotation.Reply reply = annotation.replies().get(number);
        Map<String, Object> out = created(annotation.id() + "#" + number, reply.author(), reply.at());
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
        return read(text, sizes, "");
    }

    /**
     * Reads annotations, or a collection of them.
     *
     * @param sizes of the pages of the file they are about, by page number; a page that is not there takes no mark
     * @param of the text they are about, so that quotes are found in it; empty if it is not a text
     * @throws IllegalArgumentException if the text is not JSON
     */
    public static BroughtMark.Read read(String text, Map<Integer, PageSize> sizes, String of) {
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
                    marks.add(mark(item, sizes, number, of));
                    if (item.path("target").isArray() && item.path("target").size() > 1) {
                        skipped.add(called + ": it has " + item.path("target").size()
                                + " places, of which the first was read");
                    }
                } catch (IllegalArgumentException unread) {
                    skipped.add(called + ": " + unread.getMessage());
                }
            }
        }
        return new BroughtMark.Read(marks, skipped);
    }

    private static List<JsonNode> items(JsonNode root) {
        JsonNode items = root.isArray()
                ? root
                : root.path("first").has("items")
                        ? root.path("first").path("items")
                        : root.has("items") ? root.path("items") : root;
        List<JsonNode> result = new ArrayList<>();
        if (items.isArray()) {
            items.forEach(result::add);
        } else if (items.has("target")) {
            result.add(items);
        }
        return result;
    }

    private static BroughtMark mark(JsonNode item, Map<Integer, PageSize> sizes, int number, String text) {
        JsonNode target = item.path("target").isArray() ? item.path("target").path(0) : item.path("target");
        Place place = anyPlace(target, sizes, text);
        Optional<String> replacement = Optional.empty();
        String note = "";
        Intent intent = Intent.CHANGE;
        JsonNode bodies = item.has("body") ? item.path("body") : item.path("bodyValue");
        for (JsonNode body : bodies.isArray() ? bodies : List.of(bodies)) {
            String value =
                    body.isString() ? body.stringValue() : body.path("value").asString("");
            switch (body.path("purpose").asString("")) {
                case "tagging" -> intent = intent(value, intent);
                case "classifying" -> {}
                case INSTEAD -> replacement = Optional.of(value).filter(words -> !words.isBlank());
                default -> note = note.isEmpty() ? value : note + "\n" + value;
            }
        }
        if (note.isBlank()) {
            throw new IllegalArgumentException("it says nothing");
        }
        JsonNode creator = item.path("creator");
        String author = creator.isString()
                ? creator.stringValue()
                : creator.path("name").asString("");
        String id = item.path("id").asString("");
        return new BroughtMark(
                id.isEmpty()
                        ? "annotation:" + number + ":"
                                + Sha256.ofText(item.toString()).hex()
                        : id,
                place,
                intent,
                note,
                author,
                replacement);
    }

    private static Intent intent(String word, Intent otherwise) {
        for (Intent intent : Intent.values()) {
            if (intent.name().equalsIgnoreCase(word)) {
                return intent;
            }
        }
        return otherwise;
    }

    /** The first of the ways in which a target says where it is that can be read. */
    private static Place anyPlace(JsonNode target, Map<Integer, PageSize> sizes, String text) {
        List<JsonNode> selectors = new ArrayList<>();
        JsonNode said = target.path("selector");
        (said.isArray() ? said : List.of(said)).forEach(selectors::add);
        String source = target.isString()
                ? target.stringValue()
                : target.path("source").isString()
                        ? target.path("source").stringValue()
                        : target.path("source")
                                .path("id")
                                .asString(target.path("id").asString(""));
        if (source.contains("#") && !target.has("selector")) {
            fragments(source.substring(source.indexOf('#') + 1)).ifPresent(selectors::add);
        }
        selectors.removeIf(one -> one.isMissingNode() || one.isNull());
        Optional<Integer> start = selectors.stream()
                .filter(one -> one.path("type").asString("").equals("TextPositionSelector")
                        && one.path("start").isIntegralNumber())
                .map(one -> one.path("start").intValue())
                .findFirst();
        IllegalArgumentException first =
                new IllegalArgumentException("it names no place on a page that can be read here");
        for (int i = 0; i < selectors.size(); i++) {
            try {
                return place(selectors.get(i), sizes, text, start.orElse(0));
            } catch (IllegalArgumentException unread) {
                first = i == 0 ? unread : first;
            }
        }
        throw first;
    }

    /** A fragment of an address as a selector: "page=2&xywh=percent:1,2,3,4". */
    private static Optional<JsonNode> fragments(String fragment) {
        tools.jackson.databind.node.ObjectNode last = null;
        for (String part : java.net.URLDecoder.decode(fragment, java.nio.charset.StandardCharsets.UTF_8)
                .split("&")) {
            tools.jackson.databind.node.ObjectNode selector =
                    JSON.createObjectNode().put("type", "FragmentSelector").put("value", part);
            if (last != null && part.startsWith("page=")) {
                last = selector.set("refinedBy", last);
            } else if (last != null) {
                last.set("refinedBy", selector);
            } else {
                last = selector;
            }
        }
        return Optional.ofNullable(last);
    }

    /** @param start where a quote stood, by the place that was written beside it; 0 if none was */
    private static Place place(JsonNode selector, Map<Integer, PageSize> sizes, String text, int start) {
        int page = 1;
        if (selector.path("type").asString("").equals("TextQuoteSelector")) {
            return range(selector, text, start);
        }
        if (selector.path("type").asString("").equals("TextPositionSelector")) {
            return stretch(selector, text);
        }
        if (selector.path("value").asString("").startsWith("t=")) {
            return moment(selector, sizes);
        }
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

    private static Place stretch(JsonNode selector, String text) {
        int from = selector.path("start").asInt(-1);
        int to = selector.path("end").asInt(-1);
        if (from < 0 || to <= from || to > text.length()) {
            throw new IllegalArgumentException("its characters are not in this text");
        }
        return Place.TextRange.in(text, from, to);
    }

    private static Place range(JsonNode selector, String text, int start) {
        String quote = selector.path("exact").asString("");
        if (quote.isEmpty()) {
            throw new IllegalArgumentException("it quotes nothing");
        }
        return FoundAgain.in(
                        text,
                        new Place.TextRange(
                                start,
                                start + quote.length(),
                                quote,
                                selector.path("prefix").asString(""),
                                selector.path("suffix").asString("")))
                .orElseThrow(() -> new IllegalArgumentException("its words are not in this text"));
    }

    private static Place moment(JsonNode selector, Map<Integer, PageSize> sizes) {
        String[] times = selector.path("value")
                .asString("")
                .substring(2)
                .replace("npt:", "")
                .split(",", 2);
        try {
            double from = times[0].isEmpty() ? 0 : clock(times[0]);
            JsonNode within = selector.path("refinedBy");
            Optional<Place> shape = within.path("type").asString("").equals("SvgSelector")
                    ? Optional.of(SvgShapes.read(within.path("value").asString(""), 1, size(sizes, 1)))
                    : Optional.empty();
            return new Place.Moment(from, times.length > 1 ? clock(times[1]) : from, shape);
        } catch (NumberFormatException unreadable) {
            throw new IllegalArgumentException("its time is not in seconds: " + String.join(",", times));
        }
    }

    /** Seconds of a time as "75.5", "1:15.5" or "0:01:15.5". @throws NumberFormatException if it is none */
    private static double clock(String time) {
        double seconds = 0;
        for (String part : time.split(":", -1)) {
            seconds = seconds * 60 + Double.parseDouble(part);
        }
        return seconds;
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
