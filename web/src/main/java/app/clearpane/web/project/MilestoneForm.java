package app.clearpane.web.project;

/** A milestone as typed. */
record MilestoneForm(String fallsOn, boolean reached, int revision) {}
