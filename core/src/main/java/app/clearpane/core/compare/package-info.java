/** What changed between two versions: pages matched, pictures registered, regions found, and which marks they touch. */
@NullMarked
package app.clearpane.core.compare;

import org.jspecify.annotations.NullMarked;
