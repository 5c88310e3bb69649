package app.clearpane.core.record;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a Record can tell of: how it is kept, how it is told, and whether it may leave the house. */
public enum Act {
    SIGNOFF_MADE("signoff.made", Kind.DECISIONS, Told.OUTSIDE, "decided on"),
    SIGNOFF_TAKEN_BACK("signoff.taken-back", Kind.DECISIONS, Told.OUTSIDE, "took back a decision on"),
    SIGNOFF_ASKED_AGAIN(
            "signoff.asked-again",
            Kind.DECISIONS,
            Told.OUTSIDE,
            "settled a clash, so that a signatory is asked again about"),
    ROUND_CLOSED("round.closed", Kind.DECISIONS, Told.OUTSIDE, "closed the round of"),
    EXTRA_ACCEPTED("extra.accepted", Kind.DECISIONS, Told.OUTSIDE, "accepted a further round of"),
    SIGNING_CHANGED("signing.changed", Kind.DECISIONS, Told.OUTSIDE, "changed who signs"),
    SIGNING_USUAL("signing.usual", Kind.DECISIONS, "said how signing goes:"),
    STAND_IN_NAMED("stand-in.named", Kind.DECISIONS, Told.OUTSIDE, "named a stand-in for"),
    STAND_IN_ENDED("stand-in.ended", Kind.DECISIONS, Told.OUTSIDE, "ended the standing in for"),
    CLASH_RULED("clash.ruled", Kind.DECISIONS, Told.OUTSIDE, "settled a clash on"),
    SILENCE_SET("silence.set", Kind.DECISIONS, "said what silence means in"),
    VERSION_STORED("version.stored", Kind.VERSIONS, "stored a version of"),
    VERSION_SENT("version.sent", Kind.VERSIONS, Told.OUTSIDE, "sent a version of"),
    VERSION_RECALLED("version.recalled", Kind.VERSIONS, Told.OUTSIDE, "recalled a version of"),
    VERSION_RELEASED("version.released", Kind.VERSIONS, Told.OUTSIDE, "released"),
    DELIVERABLE_ADDED("deliverable.added", Kind.VERSIONS, Told.OUTSIDE, "added the deliverable"),
    RELEASE_RECALLED("release.recalled", Kind.VERSIONS, Told.OUTSIDE, "recalled a release of"),
    RELEASE_HANDED("release.handed", Kind.VERSIONS, "handed on a release of"),
    RELEASE_FETCHED("release.fetched", Kind.VERSIONS, "fetched a release of"),
    CHECKLIST_TICKED("checklist.ticked", Kind.VERSIONS, Told.OUTSIDE, "looked over, for"),
    CHECKLIST_UNTICKED("checklist.unticked", Kind.VERSIONS, Told.OUTSIDE, "took back a tick for"),
    CHECKLIST_CHANGED("checklist.changed", Kind.VERSIONS, "changed the checklist of"),
    CONDITION_WAIVED("condition.waived", Kind.VERSIONS, Told.OUTSIDE, "waived a condition for"),
    MARK_PLACED("mark.placed", Kind.MARKS, Told.OUTSIDE, "marked up"),
    MARK_PLACED_FOR_TEAM("mark.placed.for-team", Kind.MARKS, "marked up, for the team only,"),
    MARK_EDITED("mark.edited", Kind.MARKS, Told.OUTSIDE, "changed a mark on"),
    MARK_ANSWERED("mark.answered", Kind.MARKS, Told.OUTSIDE, "answered a mark on"),
    MARK_TAKE_ON("mark.take-on", Kind.MARKS, Told.OUTSIDE, "took on a mark on"),
    MARK_FIX("mark.fix", Kind.MARKS, Told.OUTSIDE, "fixed a mark on"),
    MARK_SET_ASIDE("mark.set-aside", Kind.MARKS, Told.OUTSIDE, "set aside a mark on"),
    MARK_CONFIRM("mark.confirm", Kind.MARKS, Told.OUTSIDE, "confirmed a mark on"),
    MARK_REOPEN("mark.reopen", Kind.MARKS, Told.OUTSIDE, "reopened a mark on"),
    MARK_WITHDRAW("mark.withdraw", Kind.MARKS, Told.OUTSIDE, "withdrew a mark on"),
    MARK_GIVEN("mark.given", Kind.MARKS, "gave to somebody of the team a mark on"),
    MARK_BECAME_TASK("mark.became-task", Kind.MARKS, "made a task of a mark on"),
    MARK_JOINED("mark.joined", Kind.MARKS, "joined two marks that ask for the same on"),
    MARK_PARTED("mark.parted", Kind.MARKS, "lets a mark stand alone again on"),
    MARKS_BROUGHT("marks.brought", Kind.MARKS, Told.OUTSIDE, "brought notes along to"),
    PANE_ADDED("pane.added", Kind.SHOWING, "made the pane"),
    PANE_PUBLISHED("pane.published", Kind.SHOWING, "published the pane"),
    PANE_UNPUBLISHED("pane.unpublished", Kind.SHOWING, "shut the pane"),
    PANE_REMOVED("pane.removed", Kind.SHOWING, "took away the pane"),
    PANE_FOLLOWS("pane.follows", Kind.SHOWING, "let follow the starting point: the pane"),
    PANE_HAS_ITS_OWN("pane.has-its-own", Kind.SHOWING, "gave its own apertures to the pane"),
    PANE_DISCARDED("pane.discarded", Kind.SHOWING, "dropped what was pending at the pane"),
    PANE_CHANGED("pane.changed", Kind.SHOWING, "changed the pane"),
    PANE_SECTIONS("pane.sections", Kind.SHOWING, "gave sections their words and order at the pane"),
    APERTURE_SET("aperture.set", Kind.SHOWING, "set an aperture of the pane"),
    ITEM_ARRIVED_SHOWN("item.arrived-shown", Kind.SHOWING, "let arrive shown"),
    ITEM_LEFT_VIEW("item.left-view", Kind.SHOWING, "let go out of sight"),
    ITEM_SHOWN_MANY("item.shown.many", Kind.SHOWING, "chose to show many things at"),
    ITEM_HELD_BACK_MANY("item.held-back.many", Kind.SHOWING, "held back many things at"),
    ITEM_UNSET_MANY("item.unset.many", Kind.SHOWING, "left many things to the aperture at"),
    ITEM_SHOWN("item.shown", Kind.SHOWING, "chose to show"),
    ITEM_HELD_BACK("item.held-back", Kind.SHOWING, "held back"),
    ITEM_UNSET("item.unset", Kind.SHOWING, "left to the aperture:"),
    ITEM_HELD_BACK_EVERYWHERE("item.held-back-everywhere", Kind.SHOWING, "held back, for everybody,"),
    ITEM_LET_GO("item.let-go", Kind.SHOWING, "no longer holds back, for everybody,"),
    CEILING_FOLDERS("ceiling.folders", Kind.SHOWING, "said what passes the ceiling of"),
    CEILING_SET("ceiling.set", Kind.SHOWING, "set a ceiling of"),
    STARTING_POINT_FOLDERS("starting-point.folders", Kind.SHOWING, "said what passes at the start for"),
    STARTING_POINT_SET("starting-point.set", Kind.SHOWING, "set where panes start at"),
    FILTER_SET("filter.set", Kind.SHOWING, "said what passes at the pane"),
    ARRIVALS_SHOWN("arrivals.shown", Kind.SHOWING, "let new things arrive shown at the pane"),
    ARRIVALS_UNSET("arrivals.unset", Kind.SHOWING, "let new things arrive as the aperture says at the pane"),
    LOOKED_THROUGH("looked.through", Kind.SHOWING, "looked through a seat at"),
    SEAT_GIVEN("seat.given", Kind.PEOPLE, "gave a seat at"),
    SEAT_ACCEPTED("seat.accepted", Kind.PEOPLE, "took their seat at"),
    SEAT_CHANGED("seat.changed", Kind.PEOPLE, "changed a seat at"),
    SEAT_ENDED("seat.ended", Kind.PEOPLE, "ended a seat at"),
    SEAT_INVITED("seat.invited", Kind.PEOPLE, "sent a link to"),
    LEAD_VOICE_NAMED("lead-voice.named", Kind.PEOPLE, "named the lead voice of"),
    CONTACT_ADDED("contact.added", Kind.PEOPLE, "added the contact"),
    CONTACT_CHANGED("contact.changed", Kind.PEOPLE, "changed the contact"),
    CONTACT_LEFT("contact.left", Kind.PEOPLE, "noted the leaving of"),
    CONTACT_BACK("contact.back", Kind.PEOPLE, "noted the coming back of"),
    CONTACT_WISHES("contact.wishes", Kind.PEOPLE, "changed their own things:"),
    CONTACT_PASSWORD("contact.password", Kind.PEOPLE, "chose a password, or none:"),
    CONTACT_TOOK("contact.took", Kind.PEOPLE, "took away what is kept of"),
    CONTACT_ASKS_FORGETTING("contact.asks-forgetting", Kind.PEOPLE, "asks to be forgotten, or no longer:"),
    CONTACT_FORGOTTEN("contact.forgotten", Kind.PEOPLE, "forgot somebody of"),
    CONTACT_DAYS("contact.days", Kind.PEOPLE, "said for how many days contacts stay signed in at"),
    CLIENT_PARTICULARS("client.particulars", Kind.PEOPLE, "said the particulars of"),
    CLIENT_LOGO("client.logo", Kind.PEOPLE, "changed the logo, in its forms, of"),
    CLIENT_ASKED("client.asked", Kind.PEOPLE, "asked for the particulars of"),
    CLIENT_RELATED("client.related", Kind.PEOPLE, "said how we stand to"),
    HOUSE_USUAL("house.usual", Kind.PEOPLE, "set for the house:"),
    HOUSE_PICTURE("house.picture", Kind.PEOPLE, "changed the picture or colour:"),
    HOURS_SHOWN("hours.shown", Kind.PEOPLE, "said whether clients read"),
    SEAT_WISHED("seat.wished", Kind.PEOPLE, "wishes for a seat at"),
    SEAT_WISH_DECLINED("seat.wish-declined", Kind.PEOPLE, "answered a wish for a seat at"),
    LINK_SHOWN("link.shown", Kind.PEOPLE, "looked at the address of a link to"),
    PERSON_NAMED("person.named", Kind.PEOPLE, "named for the project"),
    PERSON_DROPPED("person.dropped", Kind.PEOPLE, "named no longer for the project"),
    HOUSE_NAMED("house.named", Kind.PEOPLE, "named for the house:"),
    HOUSE_TEMPLATE_KEPT("house.template-kept", Kind.PEOPLE, "keeps the template"),
    HOUSE_TEMPLATE_CHANGED("house.template-changed", Kind.PEOPLE, "changed the template"),
    HOUSE_TEMPLATE_DROPPED("house.template-dropped", Kind.PEOPLE, "dropped the template"),
    CLIENT_NEXT("client.next", Kind.PEOPLE, "said what is next with"),
    CONTACT_MERGED("contact.merged", Kind.PEOPLE, "made one of two entries for"),
    CLIENT_RENAMED("client.renamed", Kind.PEOPLE, "renamed the client"),
    LINK_MADE("link.made", Kind.PEOPLE, "made a link to"),
    LINK_RENEWED("link.renewed", Kind.PEOPLE, "gave another key to a link to"),
    LINK_REVOKED("link.revoked", Kind.PEOPLE, "took back a link to"),
    LINK_OPENED("link.opened", Kind.PEOPLE, "came by a link to"),
    REMINDER_SENT("reminder.sent", Kind.PEOPLE, "reminded somebody of"),
    REMINDERS_SET("reminders.set", Kind.PEOPLE, "said when people are reminded at"),
    TEAM_JOINED("team.joined", Kind.PEOPLE, "took into the team"),
    TEAM_LINK_SENT("team.link-sent", Kind.PEOPLE, "sent a link to"),
    TEAM_ROLE_CHANGED("team.role-changed", Kind.PEOPLE, "changed the role of"),
    TEAM_LEFT("team.left", Kind.PEOPLE, "let go from the team"),
    TEAM_SESSIONS_SET("team.sessions-set", Kind.PEOPLE, "said how long the team stays signed in at"),
    TEAM_SECOND_STEP_SET_UP("team.second-step-set-up", Kind.PEOPLE, "set up the second step of signing in for"),
    TEAM_SECOND_STEP_ENDED("team.second-step-ended", Kind.PEOPLE, "ended the second step of signing in for"),
    TEAM_SECOND_STEP_ASKED("team.second-step-asked", Kind.PEOPLE, "asks everybody for a second step of signing in at"),
    TEAM_SECOND_STEP_LEFT_OPEN(
            "team.second-step-left-open", Kind.PEOPLE, "leaves to each whether they sign in by two steps at"),
    TEAM_RECOVERY_CODE_USED("team.recovery-code-used", Kind.PEOPLE, "signed in by a recovery code:"),
    TEAM_RECOVERY_CODES_RENEWED("team.recovery-codes-renewed", Kind.PEOPLE, "took other recovery codes:"),
    TEAM_PASSWORD_CHOSEN("team.password-chosen", Kind.PEOPLE, "chose a password:"),
    AGENCY_FOUNDED("agency.founded", Kind.PEOPLE, "founded the agency"),
    HOUSE_RULES_SET("house-rules.set", Kind.PEOPLE, "said how everybody works at"),
    CLIENTS_DO_TASKS("clients.do-tasks", Kind.PEOPLE, "lets clients be given tasks by"),
    CLIENTS_DO_NO_TASKS("clients.do-no-tasks", Kind.PEOPLE, "lets clients be given no tasks by"),
    TASK_ADDED("task.added", Kind.PLAN, "added the task"),
    TASK_CHANGED("task.changed", Kind.PLAN, "changed the task"),
    TASK_DUE_MOVED("task.due-moved", Kind.PLAN, "moved with what it is due before the day of"),
    TASK_WAITS_FOR_PAPER("task.waits-for-paper", Kind.PLAN, "had wait for a paper the task"),
    TASK_DELETED("task.deleted", Kind.PLAN, "deleted the task"),
    TASK_RESTORED("task.restored", Kind.PLAN, "brought back the task"),
    TASK_TO_DO("task.to-do", Kind.PLAN, "put back to do the task"),
    TASK_UNDER_WAY("task.under-way", Kind.PLAN, "began the task"),
    TASK_IN_CHECK("task.in-check", Kind.PLAN, "put in check the task"),
    TASK_DONE("task.done", Kind.PLAN, "finished the task"),
    TASK_DROPPED("task.dropped", Kind.PLAN, "dropped the task"),
    TASK_SAID("task.said", Kind.PLAN, "said something of the task"),
    TASK_BROUGHT_BACK("task.brought-back", Kind.PLAN, "brought back to us the task"),
    TASK_STEPPED("task.stepped", Kind.PLAN, "moved to another step the task"),
    TASK_FILE_ADDED("task.file-added", Kind.PLAN, "put a file beside the task"),
    TASKS_BROUGHT("tasks.brought", Kind.PLAN, "brought tasks along in"),
    STEPS_NAMED("steps.named", Kind.PLAN, "named the steps of work in"),
    DATES_AGREED("dates.agreed", Kind.PLAN, "agreed on the dates of"),
    MILESTONE_ADDED("milestone.added", Kind.PLAN, "added the milestone"),
    MILESTONE_CHANGED("milestone.changed", Kind.PLAN, "changed the milestone"),
    MILESTONE_DELETED("milestone.deleted", Kind.PLAN, "deleted the milestone"),
    PHASE_ADDED("phase.added", Kind.PLAN, "added the phase"),
    PHASE_CHANGED("phase.changed", Kind.PLAN, "changed the phase"),
    PHASE_PUT_EARLIER("phase.put-earlier", Kind.PLAN, "put earlier the phase"),
    PHASE_DELETED("phase.deleted", Kind.PLAN, "deleted the phase"),
    PROJECT_CHANGED("project.changed", Kind.PLAN, "changed the project"),
    PROJECT_OPENED("project.opened", Kind.PLAN, "opened the project"),
    PROJECT_TALKS("project.talks", Kind.PLAN, "said for whom words start in the project"),
    PROJECT_CLOSED("project.closed", Kind.PLAN, "said who of the team sees the project"),
    PROJECT_ARCHIVED("project.archived", Kind.PLAN, "archived the project"),
    PROJECT_PAUSED("project.paused", Kind.PLAN, "paused the project"),
    PROJECT_GOES_ON("project.goes-on", Kind.PLAN, "let go on the project"),
    PROJECT_RESTORED("project.restored", Kind.PLAN, "took up again the project"),
    PROJECT_SAYS("project.says", Kind.PLAN, "wrote for the project:"),
    PROJECT_STANDS("project.stands", Kind.PLAN, "said of the project:"),
    FREE_DAYS_SET("free-days.set", Kind.PLAN, "made days free at"),
    FREE_DAY_DROPPED("free-day.dropped", Kind.PLAN, "lets work again on a free day"),
    CONCERN_NOTED("concern.noted", Kind.PLAN, "noted the concern"),
    CONCERN_CHANGED("concern.changed", Kind.PLAN, "changed the concern"),
    CONCERN_SETTLED("concern.settled", Kind.PLAN, "settled the concern"),
    CONCERN_STANDS_AGAIN("concern.stands-again", Kind.PLAN, "let stand again the concern"),
    CONCERN_DELETED("concern.deleted", Kind.PLAN, "deleted the concern"),
    DELETED_BROUGHT_BACK("deleted.brought-back", Kind.PLAN, "brought back"),
    PAPER_ADDED("paper.added", Kind.PAPERS, "added the paper"),
    PAPER_SENT("paper.sent", Kind.PAPERS, "sent the paper"),
    PAPER_PAID("paper.paid", Kind.PAPERS, "noted as paid"),
    PAPER_WITHDRAWN("paper.withdrawn", Kind.PAPERS, "withdrew the paper"),
    PAPER_VIEWED("paper.viewed", Kind.PAPERS, "opened the paper"),
    PAPER_SIGNED("paper.signed", Kind.PAPERS, "signed"),
    PAPER_AGREED("paper.agreed", Kind.PAPERS, "agreed to"),
    PAPER_DECLINED("paper.declined", Kind.PAPERS, "declined"),
    REQUEST_DRAFTED("request.drafted", Kind.REQUESTS, "drafted the request"),
    REQUEST_TIMED("request.timed", Kind.REQUESTS, "said when to send the request"),
    REQUEST_ADDRESSED("request.addressed", Kind.REQUESTS, "said of whom to ask the request"),
    REQUEST_SENT("request.sent", Kind.REQUESTS, "sent the request"),
    REQUEST_WITHDRAWN("request.withdrawn", Kind.REQUESTS, "withdrew the request"),
    REQUEST_SUPPLIED("request.supplied", Kind.REQUESTS, "supplied for the request"),
    REQUEST_TAKEN_BACK("request.taken-back", Kind.REQUESTS, "took back what was supplied for the request"),
    REQUEST_ALL_THE_SAME("request.all-the-same", Kind.REQUESTS, "sent all the same, for the request"),
    REQUEST_ACCEPTED("request.accepted", Kind.REQUESTS, "accepted what was supplied for the request"),
    REQUEST_ASKED_AGAIN("request.asked-again", Kind.REQUESTS, "asked again for the request"),
    REQUEST_PASSED_ON("request.passed-on", Kind.REQUESTS, "passed on the request"),
    REQUEST_OWED_SENT("request.owed-sent", Kind.REQUESTS, "sent what is still owed, for"),
    QUESTIONNAIRE_CHANGED("questionnaire.changed", Kind.REQUESTS, "changed the questionnaire"),
    ANSWER_CHOSEN("answer.chosen", Kind.REQUESTS, "chose between answers for the request"),
    REQUEST_UNSEALED("request.unsealed", Kind.REQUESTS, "looked at the access details of the request"),
    FILE_ADDED("file.added", Kind.FILES, "added the file"),
    FILE_DELETED("file.deleted", Kind.FILES, "deleted the file"),
    FILE_RESTORED("file.restored", Kind.FILES, "brought back the file"),
    FILE_MOVED("file.moved", Kind.FILES, "moved the file"),
    FILE_RENAMED("file.renamed", Kind.FILES, "renamed the file"),
    FILE_REPLACED("file.replaced", Kind.FILES, "put new content in the place of the file"),
    FILE_TOLD("file.told", Kind.FILES, "told of the file"),
    FILE_LINKED("file.linked", Kind.FILES, "added the link"),
    FOLDER_MOVED("folder.moved", Kind.FILES, "moved the folder"),
    FOLDER_RENAMED("folder.renamed", Kind.FILES, "renamed the folder"),
    FOLDER_DELETED("folder.deleted", Kind.FILES, "deleted, with all that lies in it, the folder"),
    FOLDER_ADDED("folder.added", Kind.FILES, "added the folder");

    /** What one may sift a Record by. */
    public enum Kind {
        DECISIONS,
        VERSIONS,
        MARKS,
        SHOWING,
        PEOPLE,
        PLAN,
        PAPERS,
        REQUESTS,
        FILES;

        /** How the codes of its acts begin, each with its full stop. No other kind has one of them. */
        public List<String> beginnings() {
            return List.copyOf(Arrays.stream(Act.values())
                    .filter(act -> act.kind == this)
                    .map(act -> act.code.substring(0, act.code.indexOf('.') + 1))
                    .collect(Collectors.toCollection(LinkedHashSet::new)));
        }
    }

    private enum Told {
        OUTSIDE,
        INSIDE
    }

    private static final Map<String, Act> BY_CODE =
            Arrays.stream(values()).collect(Collectors.toMap(Act::code, Function.identity()));
    private final String code;
    private final Kind kind;
    private final Told told;
    private final String words;

    Act(String code, Kind kind, String words) {
        this(code, kind, Told.INSIDE, words);
    }

    Act(String code, Kind kind, Told told, String words) {
        this.code = code;
        this.kind = kind;
        this.told = told;
        this.words = words;
    }

    /** The act that is kept so; empty for one that a later house wrote, or that was altered. */
    public static Optional<Act> of(String code) {
        return Optional.ofNullable(BY_CODE.get(code));
    }

    /** How it stands in an entry, e.g. {@code version.sent}: small letters, a full stop after the thing it is about. */
    public String code() {
        return code;
    }

    /** What of a Record it belongs to. */
    public Kind kind() {
        return kind;
    }

    /** What is said between who did it and what they did it to. */
    public String words() {
        return words;
    }

    /** Whether clients took part in it or were told of it, so that a bundle may tell it. */
    public boolean toldOutside() {
        return told == Told.OUTSIDE;
    }
}
