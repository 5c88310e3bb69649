/** Marks to W3C Web Annotation. */
@NullMarked
package app.clearpane.formats.markup;

import org.jspecify.annotations.NullMarked;
