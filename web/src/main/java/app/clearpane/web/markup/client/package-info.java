/** The light table as a client sees it. */
@NullMarked
package app.clearpane.web.markup.client;

import org.jspecify.annotations.NullMarked;
