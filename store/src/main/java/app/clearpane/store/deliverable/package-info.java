/** Keeps deliverables, versions, their sheets, rounds and sign-offs. */
@NullMarked
package app.clearpane.store.deliverable;

import org.jspecify.annotations.NullMarked;
