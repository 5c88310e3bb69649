package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.ReadingOrder;
import app.clearpane.usecases.compare.Across;
import app.clearpane.usecases.compare.Compared;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The marks that stand on a version: placed on it, or carried over to it from earlier ones (M5). */
@Component
public class StandingMarks {
    private final Compared compared;

    StandingMarks(Compared compared) {
        this.compared = compared;
    }

    /** Whether a mark stands on this version. @param versions oldest first */
    public static boolean stands(Mark mark, Version version, List<Version> versions) {
        List<VersionId> order = versions.stream().map(Version::id).toList();
        int placed = order.indexOf(mark.version());
        return mark.progress()
                .stands(
                        mark.version().equals(version.id()),
                        placed >= 0 && placed < order.indexOf(version.id()),
                        mark.fixedInNumber().equals(Optional.ofNullable(version.number())) && version.number() != null);
    }

    /**
     * Those marks with their places on the version, in reading order. Marks whose page is gone are not among
     * them. @param versions oldest first
     */
    public List<Mark> standingOn(Version version, List<Version> versions, List<Mark> marks) {
        List<VersionId> order = versions.stream().map(Version::id).toList();
        Across across = compared.across(versions.subList(0, order.indexOf(version.id()) + 1));
        List<Mark> result = new ArrayList<>();
        for (Mark mark : marks) {
            if (stands(mark, version, versions)) {
                across.place(mark.place(), mark.version(), version.id()).ifPresent(place -> result.add(mark.at(place)));
            }
        }
        result.sort(Comparator.comparing(Mark::place, ReadingOrder.BY_BANDS).thenComparing(Mark::createdAt));
        return result;
    }
}
