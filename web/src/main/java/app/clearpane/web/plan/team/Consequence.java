package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Milestone;
import app.clearpane.usecases.shell.Words;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What a change of the plan would move, in sentences. */
@Component
class Consequence {
    private static final int NAMED = 3;
    private final Words words;

    Consequence(Words words) {
        this.words = words;
    }

    List<String> describe(ProjectPlan now, ProjectPlan then, ItemId changed) {
        List<String> sentences = new ArrayList<>();
        sentences.add(then.task(changed).orElseThrow().name() + ": "
                + (then.firstDay(changed).equals(then.lastDay(changed))
                        ? "on "
                        : words.day(then.firstDay(changed)) + " to ")
                + words.day(then.lastDay(changed)) + ".");
        for (Milestone milestone : now.milestones()) {
            int by = then.forecast().finish(milestone.id()) - now.forecast().finish(milestone.id());
            if (by != 0) {
                sentences.add(milestone.name() + " moves from " + words.day(now.lastDay(milestone.id())) + " to "
                        + words.day(then.lastDay(milestone.id())) + ".");
            }
        }
        List<String> others = now.tasks().stream()
                .filter(task -> !task.id().equals(changed)
                        && now.forecast().has(task.id())
                        && then.forecast().has(task.id())
                        && now.forecast().finish(task.id()) != then.forecast().finish(task.id()))
                .map(task -> task.name())
                .toList();
        if (!others.isEmpty()) {
            sentences.add((others.size() > NAMED
                            ? words.and(List.of(others.get(0), others.get(1), others.size() - 2 + " other tasks"))
                            : words.and(others))
                    + (others.size() == 1 ? " moves too." : " move too."));
        }
        int by = then.forecast().finish() - now.forecast().finish();
        sentences.add(
                by == 0
                        ? "The finish stays on " + words.day(now.finish()) + "."
                        : "The finish moves to " + words.day(then.finish()) + ", "
                                + words.count(Math.abs(by), "working day", "working days")
                                + (by > 0 ? " later." : " earlier."));
        return sentences;
    }
}
