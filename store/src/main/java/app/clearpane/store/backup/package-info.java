/** Copies of a whole house, database and vault that fit each other. */
@NullMarked
package app.clearpane.store.backup;

import org.jspecify.annotations.NullMarked;
