/** The floor that keeps things: migrations, repositories, the vault. Knows the core. */
@NullMarked
package app.clearpane.store;

import org.jspecify.annotations.NullMarked;
