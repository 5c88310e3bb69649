/** Keeps marks and their threads. */
@NullMarked
package app.clearpane.store.markup;

import org.jspecify.annotations.NullMarked;
