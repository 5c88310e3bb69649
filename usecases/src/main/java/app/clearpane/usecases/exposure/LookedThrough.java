package app.clearpane.usecases.exposure;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.security.Person;

/** One of the team looked through somebody's seat. */
public record LookedThrough(Person.OfTeam member, Viewer viewer) {}
