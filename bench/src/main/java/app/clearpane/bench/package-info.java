/** Speed and memory, as ratios to yardsticks measured in the same run. */
package app.clearpane.bench;
