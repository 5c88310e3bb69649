/** The files of a project. */
@NullMarked
package app.clearpane.web.files;

import org.jspecify.annotations.NullMarked;
