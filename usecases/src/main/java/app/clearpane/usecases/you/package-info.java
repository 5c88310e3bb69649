/** What contacts keep of themselves, and what is kept of them. */
@NullMarked
package app.clearpane.usecases.you;

import org.jspecify.annotations.NullMarked;
