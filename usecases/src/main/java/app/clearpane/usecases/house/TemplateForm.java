package app.clearpane.usecases.house;

import org.jspecify.annotations.Nullable;

/**
 * A template, as typed. @param outline its phases and tasks @param checklist a line each @param folders those that
 * stand ready for the client's things, a line each @param requests what is asked for, and when
 */
public record TemplateForm(
        String name,
        String finish,
        String outline,
        String checklist,
        @Nullable String folders,
        @Nullable String requests,
        int revision) {}
