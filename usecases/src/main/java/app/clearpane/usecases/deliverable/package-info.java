/** Deliverables: adding, uploading versions, drawing their sheets, sending them. */
@NullMarked
package app.clearpane.usecases.deliverable;

import org.jspecify.annotations.NullMarked;
