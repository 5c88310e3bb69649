/** The files of a project. */
@NullMarked
package app.clearpane.web.files.team;

import org.jspecify.annotations.NullMarked;
