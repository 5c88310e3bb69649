/** Sign-offs: who may decide, what a set of decisions comes to, when a round closes. */
@NullMarked
package app.clearpane.core.signoff;

import org.jspecify.annotations.NullMarked;
