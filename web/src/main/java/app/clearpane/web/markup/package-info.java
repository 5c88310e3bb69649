/** The light table: marks and their threads. */
@NullMarked
package app.clearpane.web.markup;

import org.jspecify.annotations.NullMarked;
