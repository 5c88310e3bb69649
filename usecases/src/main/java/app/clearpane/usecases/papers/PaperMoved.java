package app.clearpane.usecases.papers;

import app.clearpane.core.papers.PaperId;
import app.clearpane.core.people.Actor;

/** A paper was sent, answered, paid or withdrawn; part of the transaction in which it was. */
public record PaperMoved(PaperId paper, Actor by) {}
