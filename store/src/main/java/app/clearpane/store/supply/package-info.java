/** Keeps requests and what was supplied for them. */
@NullMarked
package app.clearpane.store.supply;

import org.jspecify.annotations.NullMarked;
