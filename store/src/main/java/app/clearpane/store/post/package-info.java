/** Keeps outgoing mail until it is sent, and after. */
@NullMarked
package app.clearpane.store.post;

import org.jspecify.annotations.NullMarked;
