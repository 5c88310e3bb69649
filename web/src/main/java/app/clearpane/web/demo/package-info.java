/** The demo data: four projects of a made-up agency. */
@NullMarked
package app.clearpane.web.demo;

import org.jspecify.annotations.NullMarked;
