/** The files of a project. */
@NullMarked
package app.clearpane.usecases.files;

import org.jspecify.annotations.NullMarked;
