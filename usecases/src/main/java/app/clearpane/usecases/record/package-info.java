/** The Record as a story, and verifying the whole house. */
@NullMarked
package app.clearpane.usecases.record;

import org.jspecify.annotations.NullMarked;
