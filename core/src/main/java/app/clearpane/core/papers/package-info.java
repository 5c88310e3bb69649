/** Papers: proposals, contracts and invoices, and how each stands. */
@NullMarked
package app.clearpane.core.papers;

import org.jspecify.annotations.NullMarked;
