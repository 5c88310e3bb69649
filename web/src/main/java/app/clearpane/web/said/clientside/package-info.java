/** What comes with the notes that clients see. */
@NullMarked
package app.clearpane.web.said.clientside;

import org.jspecify.annotations.NullMarked;
