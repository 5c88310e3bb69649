package app.clearpane.web.shell.access;

/** Somebody of the team tried what is not for their role. */
public final class RoleMissing extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public RoleMissing(String who) {
        super(who);
    }
}
