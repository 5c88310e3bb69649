package app.clearpane.usecases.house;

/** A template, as typed. @param outline its phases and tasks @param checklist a line each */
public record TemplateForm(String name, String finish, String outline, String checklist, int revision) {}
