/** What is said to a mark: by whom, with which files, and whom and what it calls by name. */
@NullMarked
package app.clearpane.usecases.said;

import org.jspecify.annotations.NullMarked;
