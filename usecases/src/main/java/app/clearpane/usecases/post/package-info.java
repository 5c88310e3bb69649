/** Mail, and the post room that stands in for the world in the demo. */
@NullMarked
package app.clearpane.usecases.post;

import org.jspecify.annotations.NullMarked;
