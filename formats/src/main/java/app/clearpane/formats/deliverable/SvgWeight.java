package app.clearpane.formats.deliverable;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/**
 * How much a drawing is once everything it repeats is drawn: a few lines of SVG can name a shape that names ten others,
 * which name ten others, and so stop whoever looks at them.
 */
final class SvgWeight {
    /** The most elements, each counted as often as it is drawn. */
    static final long MOST_DRAWN = 500_000;
    /** How deep elements may lie in each other, those that are named counted where they are drawn. */
    static final int DEEPEST = 400;

    private static final Pattern NAMED = Pattern.compile("url\\(\\s*['\"]?#([^)'\"]+)");
    private final Map<String, Element> byId = new HashMap<>();
    private final Map<Element, Long> known = new HashMap<>();
    private final Set<Element> open = new HashSet<>();

    private SvgWeight() {}

    /** Looks at a drawing. @throws UnusableFile with a sentence if it is too complicated to be shown */
    static void check(Element root) throws UnusableFile {
        SvgWeight weight = new SvgWeight();
        root.getAllElements().forEach(element -> weight.byId.putIfAbsent(element.id(), element));
        if (weight.weigh(root, 0) > MOST_DRAWN) {
            throw new UnusableFile(
                    ("This SVG is too complicated to be shown: it has more than %,d shapes once everything it "
                                    + "repeats is drawn. Nothing was kept; simplify it, or send it as PDF or as a picture.")
                            .formatted(MOST_DRAWN));
        }
    }

    private long weigh(Element element, int depth) throws UnusableFile {
        Long before = known.get(element);
        if (before != null) {
            return before;
        }
        if (depth > DEEPEST) {
            throw new UnusableFile(
                    "This SVG is too complicated to be shown: its shapes lie in each other more than %d deep. "
                            + "Nothing was kept; simplify it, or send it as PDF or as a picture.".formatted(DEEPEST));
        }
        if (!open.add(element)) {
            return 0;
        }
        long weight = 1;
        for (Element child : element.children()) {
            weight = Math.min(weight + weigh(child, depth + 1), MOST_DRAWN + 1);
        }
        for (Attribute attribute : element.attributes()) {
            Element named = named(attribute);
            if (named != null) {
                weight = Math.min(weight + weigh(named, depth + 1), MOST_DRAWN + 1);
            }
        }
        open.remove(element);
        known.put(element, weight);
        return weight;
    }

    /** What is drawn because this attribute names it; null if nothing is. */
    private @Nullable Element named(Attribute attribute) {
        String value = attribute.getValue();
        if (attribute.getKey().equals("href") || attribute.getKey().endsWith(":href")) {
            return value.startsWith("#") ? byId.get(value.substring(1)) : null;
        }
        Matcher matcher = NAMED.matcher(value);
        return matcher.find() ? byId.get(matcher.group(1)) : null;
    }
}
