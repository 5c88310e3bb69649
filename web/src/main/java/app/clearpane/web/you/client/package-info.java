/** A contact’s own things, and the mails they had. */
@NullMarked
package app.clearpane.web.you.client;

import org.jspecify.annotations.NullMarked;
