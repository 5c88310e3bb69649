/** Keeps what changed between two files. */
@NullMarked
package app.clearpane.store.compare;

import org.jspecify.annotations.NullMarked;
