package app.clearpane.usecases.project;

import app.clearpane.core.project.ProjectState;
import app.clearpane.store.project.HouseHabits;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the states of projects are called here (P2). Remembered until they are called otherwise. */
@Component
public class StandingWords {
    private final HouseHabits habits;
    private final AtomicReference<@Nullable Map<ProjectState, String>> known = new AtomicReference<>();

    StandingWords(HouseHabits habits) {
        this.habits = habits;
    }

    /** The house's own name; empty where a state goes by its plain one. */
    public Optional<String> own(ProjectState standing) {
        Map<ProjectState, String> names = known.get();
        if (names == null) {
            names = habits.standings();
            known.set(names);
        }
        return Optional.ofNullable(names.get(standing));
    }

    /** What it is called here. */
    public String inWords(ProjectState standing) {
        return own(standing).orElseGet(() -> plain(standing));
    }

    /** What it is called where nothing else was said. */
    public static String plain(ProjectState standing) {
        return switch (standing) {
            case ARCHIVED -> "archived";
            case PAUSED -> "paused";
            case TO_BE_PLANNED -> "to be planned";
            case COMPLETE -> "complete";
            case NOT_STARTED -> "not begun";
            case WAITING_ON_THE_CLIENT -> "waiting on the client";
            case IN_REVIEW -> "in review";
            case UNDER_WAY -> "under way";
        };
    }

    /** Reads them anew, after they changed. */
    public void changed() {
        known.set(null);
    }
}
