package app.clearpane.web.exposure.clientside;

import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.usecases.security.Person;

/** One of the team looked through somebody's seat. */
public record LookedThrough(Person.OfTeam member, Viewer viewer) {}
