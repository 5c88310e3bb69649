package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.formats.markup.Annotation;
import app.clearpane.store.deliverable.Drawings;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Marks as they are written out, without what is for the team only. */
@Component
public class Annotations {
    /** More sheets than this are taken for as large as the first. */
    private static final int SHEETS = 500;

    private final Drawings drawings;

    Annotations(Drawings drawings) {
        this.drawings = drawings;
    }

    /** The sizes of a version's sheets, by number. */
    Map<Integer, PageSize> sizes(Version version) {
        Map<Integer, PageSize> sizes = new HashMap<>();
        drawings.sheets(version.sha256(), SHEETS).forEach(sheet -> sizes.put(sheet.page(), sheet.size()));
        return sizes;
    }

    /** Those of these marks that clients see, on the sheets of a version. */
    public List<Annotation> annotate(List<Mark> marks, Version version) {
        Map<Integer, PageSize> sizes = sizes(version);
        PageSize first = sizes.getOrDefault(1, new PageSize(1, 1));
        return marks.stream()
                .filter(mark -> !mark.teamOnly())
                .map(mark -> annotation(mark, sizes.getOrDefault(mark.place().page(), first)))
                .toList();
    }

    private static Annotation annotation(Mark mark, PageSize size) {
        return new Annotation(
                "urn:uuid:" + mark.id(),
                mark.label().toString(),
                mark.place(),
                size,
                mark.intent(),
                mark.progress(),
                mark.note(),
                mark.author().name(),
                mark.createdAt(),
                mark.answers().stream()
                        .filter(answer -> !answer.teamOnly() && !answer.said().isEmpty())
                        .map(answer -> new Annotation.Reply(
                                answer.said(), answer.author().name(), answer.at()))
                        .toList(),
                mark.replacement(),
                mark.answers().stream()
                        .filter(answer -> answer.act().isPresent())
                        .reduce((earlier, later) -> later)
                        .map(answer -> new Annotation.Reply(
                                answer.said(), answer.author().name(), answer.at())));
    }
}
