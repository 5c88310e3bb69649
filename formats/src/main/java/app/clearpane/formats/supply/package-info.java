/** Finds out what a file is that was given for a request. */
@NullMarked
package app.clearpane.formats.supply;

import org.jspecify.annotations.NullMarked;
