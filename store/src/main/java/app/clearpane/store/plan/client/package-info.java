/** Tasks as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.plan.client;

import org.jspecify.annotations.NullMarked;
