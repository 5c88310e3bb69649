/** Papers as their recipients see them. */
@NullMarked
package app.clearpane.store.papers.clientside;

import org.jspecify.annotations.NullMarked;
