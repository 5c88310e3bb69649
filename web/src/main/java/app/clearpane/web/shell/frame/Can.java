package app.clearpane.web.shell.frame;

import app.clearpane.core.agency.TeamRole;

/**
 * What whoever looks may do, for the pages that offer it; each door asks again.
 *
 * @param publish whether they open projects, change what panes show, send and release
 * @param own whether they set the most that may be shown, and keep the list of the team
 * @param seeInside whether they see what is agreed with a client and noted about them
 */
public record Can(boolean publish, boolean own, boolean seeInside) {
    /** What nobody may who is not of the team. */
    public static final Can NOTHING = new Can(false, false, false);

    /** What a role may. */
    static Can of(TeamRole role) {
        return new Can(role.mayPublish(), role.isOwner(), !role.isOutside());
    }
}
