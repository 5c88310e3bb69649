package app.clearpane.web.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.web.exposure.Windows;
import app.clearpane.web.layout.Pages;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The lines of a plan as HTML. Most of them are the same each time a plan is looked at, so what was written out once for the same line is not written out again. */
@Component
class WrittenLines {
  private static final int KEPT = 6_000;
  /** Stands in each form where the token of whoever looks goes. */
  private static final String TOKEN = UUID.randomUUID().toString();
  private final Pages pages;
  private final Cache<Key, String> kept = Caffeine.newBuilder().maximumSize(KEPT).build();

  WrittenLines(Pages pages) {
    this.pages = pages;
  }

  /** All that a line is made of. @param today for days of another year */
  private record Key(PlanLines.Line line, Windows.Window window, LocalDate today) {}

  /** Lines under a heading. @param key as {@link PlanLines.Group} has it @param html of the lines */
  record Group(PlanLines.Group group, String html) {}

  /** Them, for somebody whose forms carry this token. */
  List<Group> of(List<PlanLines.Group> groups, Map<ItemId, Windows.Window> windows, LocalDate today, String token) {
    return groups.stream().map(group -> new Group(group, group.lines().stream().map(line -> html(new Key(line, Objects.requireNonNull(windows.get(line.task().id())), today))).collect(Collectors.joining()).replace(TOKEN, token))).toList();
  }

  private String html(Key key) {
    return kept.get(key, line -> pages.render("plan/_line", Map.of("l", line.line(), "w", line.window(), "token", TOKEN)));
  }
}
