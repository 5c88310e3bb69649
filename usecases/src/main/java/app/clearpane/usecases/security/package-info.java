/** Who is asking: signing in, links, limits, headers. */
@NullMarked
package app.clearpane.usecases.security;

import org.jspecify.annotations.NullMarked;
