/** Deliverables: adding, uploading versions, drawing their sheets, sending them. */
@NullMarked
package app.clearpane.web.deliverable;

import org.jspecify.annotations.NullMarked;
