/** Pictures and PDFs: what a file is, how many pages it has, and each page as a picture. */
@NullMarked
package app.clearpane.formats.deliverable;

import org.jspecify.annotations.NullMarked;
