/** Lines on which browsers are told things as they happen. */
@NullMarked
package app.clearpane.web.shell.streams;

import org.jspecify.annotations.NullMarked;
