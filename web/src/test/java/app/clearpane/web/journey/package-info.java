/** What people come to do, done in a browser against the running application. */
@NullMarked
package app.clearpane.web.journey;

import org.jspecify.annotations.NullMarked;
