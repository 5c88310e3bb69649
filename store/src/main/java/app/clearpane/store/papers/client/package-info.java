/** Papers as their recipients see them. */
@NullMarked
package app.clearpane.store.papers.client;

import org.jspecify.annotations.NullMarked;
