package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.usecases.shell.Input;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The names of folders that pass a filter, as typed: one a line or set apart by commas. */
final class FolderNames {
    private static final int MOST = 40;

    private FolderNames() {}

    /**
     * The filters of a kind as a form sends them: names of folders, or the ones that are ticked and a number of working
     * days.
     *
     * @throws app.clearpane.usecases.shell.Refused if they are none
     */
    static Set<String> parse(ContentKind kind, String typed) {
        if (kind.filters().isEmpty()) {
            return parse(typed);
        }
        Set<String> sent =
                Set.copyOf(Stream.of(typed.split(",")).map(String::strip).toList());
        Set<String> filters = kind.filters().stream()
                .map(Filter.Trait::text)
                .filter(sent::contains)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Input input = new Input();
        sent.stream().filter(one -> kind.hasDays() && one.matches("-?\\d+")).forEach(days -> {
            boolean few = days.matches("\\d{1,3}") && Integer.parseInt(days) <= Filter.DueWithin.MOST;
            input.require(few, "“Due within” takes 0 to " + Filter.DueWithin.MOST + " working days.");
            if (few) {
                filters.add(new Filter.DueWithin(Integer.parseInt(days)).text());
            }
        });
        input.allGood();
        return filters;
    }

    /** @throws app.clearpane.usecases.shell.Refused if one of them cannot be a name, or there are too many */
    static Set<String> parse(String typed) {
        Input input = new Input();
        Set<String> names = new LinkedHashSet<>();
        for (String one : typed.split("[,\\n]")) {
            if (!one.isBlank()) {
                input.name("The folder “" + one.strip() + "”", one)
                        .map(Name::value)
                        .ifPresent(names::add);
            }
        }
        input.require(names.size() <= MOST, "Name at most " + MOST + " folders.");
        input.allGood();
        return names;
    }
}
