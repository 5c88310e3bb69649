/** Sheets of sent versions. */
@NullMarked
package app.clearpane.web.deliverable.client;

import org.jspecify.annotations.NullMarked;
