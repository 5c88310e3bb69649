/** Faces, logos, covers and the agency's colour. */
@NullMarked
package app.clearpane.usecases.brand;

import org.jspecify.annotations.NullMarked;
