/** Mail, and the post room that stands in for the world in the demo. */
@NullMarked
package app.clearpane.web.post.team;

import org.jspecify.annotations.NullMarked;
