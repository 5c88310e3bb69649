package app.clearpane.web.project;

/** A phase as typed. */
record PhaseForm(String startsOn, String endsOn, String stage, int revision) {}
