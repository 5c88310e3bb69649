/** How requests are let in. */
@NullMarked
package app.clearpane.web.shell.setup;

import org.jspecify.annotations.NullMarked;
