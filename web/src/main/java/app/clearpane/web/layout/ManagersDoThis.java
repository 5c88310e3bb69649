package app.clearpane.web.layout;

/** Somebody of the team tried what is not for their role. */
final class ManagersDoThis extends RuntimeException {
    private static final long serialVersionUID = 1L;

    ManagersDoThis(String who) {
        super(who);
    }
}
