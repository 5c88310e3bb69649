/** What stands in files that have no pages to draw. */
@NullMarked
package app.clearpane.formats.files;

import org.jspecify.annotations.NullMarked;
