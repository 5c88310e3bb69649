package app.clearpane.usecases.exposure;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.ShowingActs;
import app.clearpane.store.exposure.Panes;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gives the sections of a pane's page their words and their order. Works at once: what passes is not changed by it. */
@Component
public class SetSections {
    private static final int LONGEST_TITLE = 80;
    private static final int LONGEST_LINE = 200;
    private final Panes panes;
    private final AuditLog audit;

    SetSections(Panes panes, AuditLog audit) {
        this.panes = panes;
        this.audit = audit;
    }

    /**
     * The sections as typed, one after another.
     *
     * @param place of each, from 1; two with the same keep the order they came in
     * @param off the kinds that are left out
     */
    public record Form(
            List<ContentKind> kind,
            List<Integer> place,
            List<String> title,
            List<String> line,
            @Nullable Set<ContentKind> off) {}

    /**
     * All sections of a pane in their order, those without words of their own too. @param those that have words or a
     * place of their own
     */
    public static List<Section> inOrder(List<Section> those) {
        Map<ContentKind, Section> own = those.stream().collect(Collectors.toMap(Section::kind, Function.identity()));
        return SectionWords.USUAL.keySet().stream()
                .map(kind -> own.getOrDefault(kind, new Section(kind, SectionWords.place(kind), "", "", false)))
                .sorted(Comparator.comparingInt(Section::position))
                .toList();
    }

    /** Gives them. */
    @Transactional
    public ProjectId set(PaneId id, Form form, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(id));
        int count = form.kind().size();
        Input input = new Input();
        input.require(
                form.kind().stream().distinct().count() == count
                        && List.of(
                                        form.place().size(),
                                        form.title().size(),
                                        form.line().size())
                                .stream()
                                .allMatch(size -> size == count),
                "The sections came in pieces. Nothing was changed; load the page again.");
        input.allGood();
        List<Section> typed = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            typed.add(new Section(
                    form.kind().get(i),
                    Objects.requireNonNullElse(form.place().get(i), count),
                    input.text("The heading", form.title().get(i), LONGEST_TITLE),
                    input.text("The line", form.line().get(i), LONGEST_LINE),
                    form.off() != null && form.off().contains(form.kind().get(i))));
        }
        input.allGood();
        typed.sort(Comparator.comparingInt(Section::position));
        List<Section> placed = new ArrayList<>();
        typed.forEach(one -> placed.add(new Section(one.kind(), placed.size(), one.title(), one.line(), one.off())));
        panes.setSections(id, placed);
        audit.append(
                pane.project(),
                id.value(),
                new ShowingActs.PaneSections(
                        by,
                        pane.name(),
                        placed.stream()
                                .filter(one -> !one.off())
                                .map(one -> one.kind().name())
                                .collect(Collectors.joining(", "))));
        return pane.project();
    }
}
