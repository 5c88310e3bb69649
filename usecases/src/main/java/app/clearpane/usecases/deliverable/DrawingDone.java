package app.clearpane.usecases.deliverable;

import app.clearpane.core.files.Sha256;

/** Tells that all pages of a file are drawn, or that they cannot be. */
public record DrawingDone(Sha256 source) {}
