/** Status and dates, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.project.clientside;

import org.jspecify.annotations.NullMarked;
