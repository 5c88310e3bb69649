package app.clearpane.formats.compare;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.PageMatch;
import app.clearpane.core.compare.Region;
import app.clearpane.core.markup.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What changed between two versions, as JSON, so that it is computed once. */
public final class ComparisonText {
  private static final JsonMapper JSON = JsonMapper.builder().build();

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
    node.put("share", map.share()).put("aligned", map.aligned()).put("scaled", map.scaled()).put("dx", map.dx()).put("dy", map.dy())
        .put("beforeHeight", map.beforeHeight()).put("afterHeight", map.afterHeight()).put("ratio", map.ratio());
    ArrayNode regions = node.putArray("regions");
    map.regions().forEach(region -> regions.addArray().add(region.box().x()).add(region.box().y()).add(region.box().width()).add(region.box().height())
        .add(region.share()).add(region.words()));
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
        pages.add(new Comparison.Page(match(node), Optional.ofNullable(node.get("map")).map(ComparisonText::map)));
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
    return node.has("before") ? new PageMatch.Both(node.get("before").intValue(), node.get("after").intValue()) : new PageMatch.Inserted(node.get("after").intValue());
  }

  private static ChangeMap map(JsonNode node) {
    List<Region> regions = new ArrayList<>();
    for (JsonNode region : node.get("regions")) {
      Box box = new Box(region.get(0).doubleValue(), region.get(1).doubleValue(), region.get(2).doubleValue(), region.get(3).doubleValue());
      regions.add(new Region(box, region.get(4).doubleValue(), region.get(5).booleanValue()));
    }
    return new ChangeMap(regions, node.get("share").doubleValue(), node.get("aligned").booleanValue(), node.get("scaled").booleanValue(), node.get("dx").doubleValue(),
        node.get("dy").doubleValue(), node.get("beforeHeight").doubleValue(), node.get("afterHeight").doubleValue(), node.get("ratio").doubleValue());
  }
}
