package app.clearpane.usecases.project;

import org.jspecify.annotations.Nullable;

/** A phase as typed. @param name missing if it keeps its own */
public record PhaseForm(
        @Nullable String name,
        String startsOn,
        String endsOn,
        String stage,
        @Nullable String words,
        int revision) {}
