/** Asking clients for what is needed of them, taking it in, and accepting it. */
@NullMarked
package app.clearpane.usecases.supply;

import org.jspecify.annotations.NullMarked;
