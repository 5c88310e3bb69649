/** Faces, logos, covers and the agency's colour. */
@NullMarked
package app.clearpane.web.brand.team;

import org.jspecify.annotations.NullMarked;
