/** Addresses as codes to show or print. */
@NullMarked
package app.clearpane.formats.exposure;

import org.jspecify.annotations.NullMarked;
