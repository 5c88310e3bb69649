package app.clearpane.formats.compare;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.compare.Region;
import app.clearpane.core.compare.Registration;
import app.clearpane.core.compare.Runs;
import app.clearpane.core.markup.Box;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What changed between two versions, as JSON, so that it is computed once. */
public final class ComparisonText {
    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(Integer.MAX_VALUE)
                            .build())
                    .build())
            .build();
    private static final int STRIDE = 3;

    private ComparisonText() {}

    /** As JSON. */
    public static String write(Comparison comparison) {
        ObjectNode root = JSON.createObjectNode();
        ArrayNode pages = root.putArray("pages");
        for (Comparison.Page page : comparison.pages()) {
            ObjectNode node = pages.addObject();
            if (page.match() instanceof PageMatch.Both both) {
                node.put("before", both.before()).put("after", both.after());
            } else if (page.match() instanceof PageMatch.Inserted added) {
                node.put("after", added.after());
            } else if (page.match() instanceof PageMatch.Removed gone) {
                node.put("before", gone.before());
            }
            page.map().ifPresent(map -> write(map, node.putObject("map")));
        }
        return JSON.writeValueAsString(root);
    }

    private static void write(ChangeMap map, ObjectNode node) {
        node.put("share", map.share())
                .put("aligned", map.aligned())
                .put("size", map.size().name())
                .put("ratio", map.ratio());
        box(map.beforeAt(), node.putArray("beforeAt"));
        box(map.afterAt(), node.putArray("afterAt"));
        ArrayNode regions = node.putArray("regions");
        for (Region region : map.regions()) {
            ArrayNode one = regions.addArray();
            box(region.box(), one.addArray());
            one.add(region.share()).add(region.words());
            Runs runs = region.pixels();
            one.addArray()
                    .add(runs.left())
                    .add(runs.top())
                    .add(runs.across())
                    .add(runs.down())
                    .add(packed(runs.spans()));
        }
    }

    private static void box(Box box, ArrayNode node) {
        node.add(box.x()).add(box.y()).add(box.width()).add(box.height());
    }

    private static Box box(JsonNode node) {
        return new Box(
                node.get(0).doubleValue(),
                node.get(1).doubleValue(),
                node.get(2).doubleValue(),
                node.get(3).doubleValue());
    }

    /** Numbers as what each is more than the one three before it, deflated, in base 64. */
    private static String packed(int[] numbers) {
        ByteBuffer bytes = ByteBuffer.allocate(4 * numbers.length);
        for (int i = 0; i < numbers.length; i++) {
            bytes.putInt(numbers[i] - (i < STRIDE ? 0 : numbers[i - STRIDE]));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflater = new DeflaterOutputStream(out)) {
            deflater.write(bytes.array());
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return Base64.getEncoder().encodeToString(out.toByteArray());
    }

    private static int[] unpacked(String text) {
        try (InflaterInputStream in = new InflaterInputStream(
                new ByteArrayInputStream(Base64.getDecoder().decode(text)))) {
            IntBuffer bytes = ByteBuffer.wrap(in.readAllBytes()).asIntBuffer();
            int[] numbers = new int[bytes.remaining()];
            for (int i = 0; i < numbers.length; i++) {
                numbers[i] = bytes.get(i) + (i < STRIDE ? 0 : numbers[i - STRIDE]);
            }
            return numbers;
        } catch (IOException damaged) {
            throw new IllegalArgumentException(damaged);
        }
    }

    /**
     * Reads it back.
     *
     * @throws IllegalArgumentException if the text is not what {@link #write} writes
     */
    public static Comparison read(String text) {
        try {
            List<Comparison.Page> pages = new ArrayList<>();
            for (JsonNode node : JSON.readTree(text).get("pages")) {
                pages.add(new Comparison.Page(
                        match(node), Optional.ofNullable(node.get("map")).map(ComparisonText::map)));
            }
            return new Comparison(pages);
        } catch (RuntimeException unreadable) {
            throw new IllegalArgumentException("not a kept comparison: " + unreadable.getMessage(), unreadable);
        }
    }

    private static PageMatch match(JsonNode node) {
        if (!node.has("after")) {
            return new PageMatch.Removed(node.get("before").intValue());
        }
        return node.has("before")
                ? new PageMatch.Both(
                        node.get("before").intValue(), node.get("after").intValue())
                : new PageMatch.Inserted(node.get("after").intValue());
    }

    private static ChangeMap map(JsonNode node) {
        List<Region> regions = new ArrayList<>();
        for (JsonNode region : node.get("regions")) {
            JsonNode runs = region.get(3);
            regions.add(new Region(
                    box(region.get(0)),
                    region.get(1).doubleValue(),
                    region.get(2).booleanValue(),
                    new Runs(
                            runs.get(0).doubleValue(),
                            runs.get(1).doubleValue(),
                            runs.get(2).doubleValue(),
                            runs.get(3).doubleValue(),
                            unpacked(runs.get(4).stringValue()))));
        }
        return new ChangeMap(
                regions,
                node.get("share").doubleValue(),
                node.get("aligned").booleanValue(),
                Registration.Size.valueOf(node.get("size").stringValue()),
                box(node.get("beforeAt")),
                box(node.get("afterAt")),
                node.get("ratio").doubleValue());
    }
}
