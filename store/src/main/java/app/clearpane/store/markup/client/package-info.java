/** Marks, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.markup.client;

import org.jspecify.annotations.NullMarked;
