/** Speed and memory, as ratios to yardsticks measured in the same run. */
@NullMarked
package app.clearpane.bench;

import org.jspecify.annotations.NullMarked;
