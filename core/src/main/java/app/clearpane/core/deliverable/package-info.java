/** Deliverables, their versions and their rounds of review. */
@NullMarked
package app.clearpane.core.deliverable;

import org.jspecify.annotations.NullMarked;
