package app.clearpane.formats.apart;

import java.io.IOException;

/** As many files are opened as may be at a time, and as many wait as may wait. Nothing is wrong with this one. */
public final class NoRoomNow extends IOException {
    private static final long serialVersionUID = 1L;

    NoRoomNow() {
        super("as many files are being opened as this house opens at a time");
    }
}
