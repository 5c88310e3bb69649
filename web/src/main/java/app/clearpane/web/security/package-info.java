/** Who is asking: signing in, links, limits, headers. */
@NullMarked
package app.clearpane.web.security;

import org.jspecify.annotations.NullMarked;
