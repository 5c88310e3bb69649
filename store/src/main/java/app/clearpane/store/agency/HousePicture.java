package app.clearpane.store.agency;

import app.clearpane.core.files.Sha256;

/** A face, a logo or a cover in the vault. */
public record HousePicture(Sha256 sha256, String mediaType) {}
