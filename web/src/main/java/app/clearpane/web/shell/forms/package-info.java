/** What a form shows, what was typed into it, and whether it changed meanwhile. */
@NullMarked
package app.clearpane.web.shell.forms;

import org.jspecify.annotations.NullMarked;
