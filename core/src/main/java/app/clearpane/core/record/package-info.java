/** The append-only, hash-chained account of what was shown, said, decided and released. */
@NullMarked
package app.clearpane.core.record;

import org.jspecify.annotations.NullMarked;
