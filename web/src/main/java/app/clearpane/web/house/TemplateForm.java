package app.clearpane.web.house;

/** A template, as typed. @param outline its phases and tasks @param checklist a line each */
record TemplateForm(String name, String finish, String outline, String checklist, int revision) {}
