/** Marks on a version: where they are, what they want, how far they are, how their notes are laid out. */
@NullMarked
package app.clearpane.core.markup;

import org.jspecify.annotations.NullMarked;
