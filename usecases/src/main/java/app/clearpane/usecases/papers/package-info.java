/** Proposals, contracts and invoices. */
@NullMarked
package app.clearpane.usecases.papers;

import org.jspecify.annotations.NullMarked;
