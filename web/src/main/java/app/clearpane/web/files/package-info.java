/** What the pages of files share on both sides. */
@NullMarked
package app.clearpane.web.files;

import org.jspecify.annotations.NullMarked;
