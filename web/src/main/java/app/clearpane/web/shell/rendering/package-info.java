/** How templates are read and written out. */
@NullMarked
package app.clearpane.web.shell.rendering;

import org.jspecify.annotations.NullMarked;
