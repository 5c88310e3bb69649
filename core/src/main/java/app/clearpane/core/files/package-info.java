/** Content known by its SHA-256. */
@NullMarked
package app.clearpane.core.files;

import org.jspecify.annotations.NullMarked;
