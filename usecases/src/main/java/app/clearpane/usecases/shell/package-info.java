/** The frame around every page, words and dates for people, and what is said when something goes wrong. */
@NullMarked
package app.clearpane.usecases.shell;

import org.jspecify.annotations.NullMarked;
