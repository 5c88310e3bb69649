/** Files, as far as a viewer sees them. */
@NullMarked
package app.clearpane.store.files.clientside;

import org.jspecify.annotations.NullMarked;
