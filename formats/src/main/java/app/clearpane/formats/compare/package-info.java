/** Comparing at the edges: pictures and words of pages for the core, and kept comparisons as text. */
@NullMarked
package app.clearpane.formats.compare;

import org.jspecify.annotations.NullMarked;
