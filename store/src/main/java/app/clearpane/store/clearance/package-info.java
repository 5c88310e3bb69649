/** Keeps releases. */
@NullMarked
package app.clearpane.store.clearance;

import org.jspecify.annotations.NullMarked;
