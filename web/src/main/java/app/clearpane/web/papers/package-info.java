/** Proposals, contracts and invoices. */
@NullMarked
package app.clearpane.web.papers;

import org.jspecify.annotations.NullMarked;
