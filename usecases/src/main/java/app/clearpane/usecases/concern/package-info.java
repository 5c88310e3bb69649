/**
 * What could get in the way of a project, or has: risks and issues, what is done about them, and who looks after it.
 */
@NullMarked
package app.clearpane.usecases.concern;

import org.jspecify.annotations.NullMarked;
