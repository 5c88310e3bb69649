package app.clearpane.core.exposure;

/**
 * The words of a section of a pane's page.
 *
 * @param position its place among the sections, from 0
 * @param title its heading; empty for the usual one
 * @param line what it is for, in a line; empty for the usual one
 * @param off whether it is left out, whatever passes
 */
public record Section(ContentKind kind, int position, String title, String line, boolean off) {}
