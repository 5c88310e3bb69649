/** Everything that opens a file somebody sent does so in a process of its own, where it harms nobody else. */
@NullMarked
package app.clearpane.formats.apart;

import org.jspecify.annotations.NullMarked;
