/** What is answered where something cannot be done. */
@NullMarked
package app.clearpane.web.shell.errors;

import org.jspecify.annotations.NullMarked;
