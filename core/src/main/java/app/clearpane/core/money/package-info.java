/** Amounts of money as people type and print them. */
@NullMarked
package app.clearpane.core.money;

import org.jspecify.annotations.NullMarked;
