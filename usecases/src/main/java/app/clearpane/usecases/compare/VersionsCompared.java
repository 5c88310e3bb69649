package app.clearpane.usecases.compare;

import app.clearpane.store.compare.Comparisons;

/** Tells that two files were compared, or cannot be. */
record VersionsCompared(Comparisons.Pair pair) {}
