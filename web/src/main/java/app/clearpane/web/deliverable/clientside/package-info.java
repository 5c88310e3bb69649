/** Sheets of sent versions. */
@NullMarked
package app.clearpane.web.deliverable.clientside;

import org.jspecify.annotations.NullMarked;
