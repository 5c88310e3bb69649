/** Papers for those they were sent to. */
@NullMarked
package app.clearpane.web.papers.clientside;

import org.jspecify.annotations.NullMarked;
