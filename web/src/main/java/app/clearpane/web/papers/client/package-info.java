/** Papers for those they were sent to. */
@NullMarked
package app.clearpane.web.papers.client;

import org.jspecify.annotations.NullMarked;
