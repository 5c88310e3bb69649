/** Backups: by hand while the house runs, every night where that is set, and back again. */
@NullMarked
package app.clearpane.usecases.backup;

import org.jspecify.annotations.NullMarked;
