package app.clearpane.web.project;

/** What can be changed of a project, as typed. @param manager the member of the team */
record DetailsForm(String name, String currency, String tax, String cover, String manager, int revision) {}
