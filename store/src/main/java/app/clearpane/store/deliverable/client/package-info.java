/** Deliverables and versions, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.deliverable.client;

import org.jspecify.annotations.NullMarked;
