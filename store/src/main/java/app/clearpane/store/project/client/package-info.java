/** Status and dates, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.project.client;

import org.jspecify.annotations.NullMarked;
