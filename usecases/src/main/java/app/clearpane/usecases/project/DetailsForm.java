package app.clearpane.usecases.project;

import org.jspecify.annotations.Nullable;

/**
 * What can be changed of a project, as typed. @param manager the member of the team @param client whom it is for;
 * missing to leave that as it is
 */
public record DetailsForm(
        String name,
        String currency,
        String tax,
        String cover,
        String manager,
        @Nullable String client,
        @Nullable String paymentDays,
        int revision) {}
