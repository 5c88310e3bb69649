/** The demo data: four projects of a made-up agency. */
@NullMarked
package app.clearpane.demo;

import org.jspecify.annotations.NullMarked;
