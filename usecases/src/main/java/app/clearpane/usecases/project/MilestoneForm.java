package app.clearpane.usecases.project;

import org.jspecify.annotations.Nullable;

/** A milestone as typed. @param name missing if it keeps its own @param reached missing if it is not */
public record MilestoneForm(
        @Nullable String name, String fallsOn, @Nullable Boolean reached, int revision) {
    boolean isReached() {
        return Boolean.TRUE.equals(reached);
    }
}
