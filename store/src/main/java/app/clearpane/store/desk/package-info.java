/** Counts over all projects. */
@NullMarked
package app.clearpane.store.desk;

import org.jspecify.annotations.NullMarked;
