/** What comes with the notes that clients see. */
@NullMarked
package app.clearpane.web.said.client;

import org.jspecify.annotations.NullMarked;
