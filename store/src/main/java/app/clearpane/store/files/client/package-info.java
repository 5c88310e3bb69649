/** Files, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.files.client;

import org.jspecify.annotations.NullMarked;
