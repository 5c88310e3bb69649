/** Proposals, contracts and invoices. */
@NullMarked
package app.clearpane.web.papers.team;

import org.jspecify.annotations.NullMarked;
