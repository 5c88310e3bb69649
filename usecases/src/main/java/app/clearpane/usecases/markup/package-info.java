/** The light table: marks and their threads. */
@NullMarked
package app.clearpane.usecases.markup;

import org.jspecify.annotations.NullMarked;
