/** What stands around every page of the team. */
@NullMarked
package app.clearpane.web.shell.frame;

import org.jspecify.annotations.NullMarked;
