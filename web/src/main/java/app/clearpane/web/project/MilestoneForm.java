package app.clearpane.web.project;

/** A milestone as typed. */
public record MilestoneForm(String fallsOn, boolean reached, int revision) {}
