package app.clearpane.core.project;

/** What a project says of itself, part by part. */
public enum AboutPart {
    /** What it is for. */
    PURPOSE,
    /** What is in it. */
    INCLUDED,
    /** What is not. */
    EXCLUDED,
    /** By what its success is measured. */
    MEASURE
}
