/** The vault of immutable content, and the files and folders of a project. */
@NullMarked
package app.clearpane.store.files;

import org.jspecify.annotations.NullMarked;
