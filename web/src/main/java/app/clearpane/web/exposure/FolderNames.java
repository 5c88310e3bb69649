package app.clearpane.web.exposure;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.web.layout.Input;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;

/** The names of folders that pass a filter, as typed: one a line or set apart by commas. */
final class FolderNames {
  private static final int MOST = 40;

  private FolderNames() {}

  /** The filters of a kind as a form sends them: names of folders, or the ones that are ticked. */
  static Set<String> of(ContentKind kind, String typed) {
    return kind.filters().isEmpty() ? of(typed)
        : kind.filters().stream().map(Filter.Trait::text).filter(Set.of(typed.split(","))::contains).collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** @throws app.clearpane.web.layout.Refused if one of them cannot be a name, or there are too many */
  static Set<String> of(String typed) {
    Input input = new Input();
    Set<String> names = new LinkedHashSet<>();
    for (String one : typed.split("[,\\n]")) {
      if (!one.isBlank()) {
        input.name("The folder “" + one.strip() + "”", one).map(Name::value).ifPresent(names::add);
      }
    }
    input.require(names.size() <= MOST, "Name at most " + MOST + " folders.");
    input.allGood();
    return names;
  }
}
