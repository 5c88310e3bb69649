package app.clearpane.store.supply;

import static app.clearpane.store.schema.Tables.ANSWER;
import static app.clearpane.store.schema.Tables.ANSWER_CHOICE;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.QUESTIONNAIRE;
import static app.clearpane.store.schema.Tables.QUESTION_PICTURE;
import static app.clearpane.store.schema.Tables.REQUEST;
import static app.clearpane.store.schema.Tables.REQUEST_PART;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.Questionnaire;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;

/** The questionnaires that are parts of requests, and what was answered. */
public final class Questionnaires {
    private static final Field<List<Answer>> ANSWERS = multiset(
                    select(ANSWER.QUESTION_ID, ANSWER.CONTACT_ID, CONTACT.NAME, ANSWER.SAID, ANSWER.GIVEN_AT)
                            .from(ANSWER)
                            .join(CONTACT)
                            .on(CONTACT.ID.eq(ANSWER.CONTACT_ID))
                            .where(ANSWER.PART_ID.eq(QUESTIONNAIRE.PART_ID))
                            .orderBy(ANSWER.GIVEN_AT, ANSWER.CONTACT_ID))
            .as("answers")
            .convertFrom(rows -> rows.map(row -> new Answer(
                    row.value1(), row.value2(), row.value3(), QuestionText.said(row.value4()), row.value5())));
    private static final Field<List<Answer.Choice>> CHOICES = multiset(
                    select(ANSWER_CHOICE.QUESTION_ID, ANSWER_CHOICE.CONTACT_ID, ANSWER_CHOICE.CHOSEN_AT)
                            .from(ANSWER_CHOICE)
                            .where(ANSWER_CHOICE.PART_ID.eq(QUESTIONNAIRE.PART_ID)))
            .as("choices")
            .convertFrom(rows -> rows.map(row -> new Answer.Choice(row.value1(), row.value2(), row.value3())));

    private final DSLContext db;

    public Questionnaires(DSLContext db) {
        this.db = db;
    }

    /**
     * A questionnaire with what was answered so far.
     *
     * @param part the part of a request that it is
     * @param changed when it was changed after it had been sent, and what that was
     */
    public record Kept(UUID part, RequestId request, int revision, Optional<Change> changed, Answers answers) {
        /** All that is asked. */
        public Questionnaire questionnaire() {
            return answers.questionnaire();
        }
    }

    /** That it was changed. @param words what came and went */
    public record Change(Instant at, String words) {}

    /** Those of a project, by the parts that they are. */
    public Map<UUID, Kept> ofProject(ProjectId project) {
        return where(REQUEST.PROJECT_ID.eq(project)).stream().collect(Collectors.toMap(Kept::part, one -> one));
    }

    /** One of them. @param part the part of a request that it is */
    public Optional<Kept> find(UUID part) {
        return where(QUESTIONNAIRE.PART_ID.eq(part)).stream().findFirst();
    }

    private List<Kept> where(Condition condition) {
        return db.select(QUESTIONNAIRE.fields())
                .select(REQUEST.ID, ANSWERS, CHOICES)
                .from(QUESTIONNAIRE)
                .join(REQUEST_PART)
                .on(REQUEST_PART.ID.eq(QUESTIONNAIRE.PART_ID))
                .join(REQUEST)
                .on(REQUEST.ID.eq(REQUEST_PART.REQUEST_ID))
                .where(condition)
                .fetch(row -> new Kept(
                        row.get(QUESTIONNAIRE.PART_ID),
                        row.get(REQUEST.ID),
                        row.get(QUESTIONNAIRE.REVISION),
                        Optional.ofNullable(row.get(QUESTIONNAIRE.CHANGED_AT))
                                .map(at -> new Change(at, row.get(QUESTIONNAIRE.CHANGE_WORDS))),
                        new Answers(
                                QuestionText.questionnaire(row.get(QUESTIONNAIRE.CONTENT)),
                                row.get(ANSWERS),
                                row.get(CHOICES))));
    }

    /** Makes a part of a request one. @param pictures what can be chosen in it, by name */
    public void add(UUID part, Questionnaire questionnaire, Map<String, Sha256> pictures) {
        db.insertInto(QUESTIONNAIRE)
                .set(QUESTIONNAIRE.PART_ID, part)
                .set(QUESTIONNAIRE.CONTENT, QuestionText.of(questionnaire))
                .set(QUESTIONNAIRE.REVISION, 1)
                .set(QUESTIONNAIRE.CHANGE_WORDS, "")
                .execute();
        keep(part, pictures);
    }

    private void keep(UUID part, Map<String, Sha256> pictures) {
        db.deleteFrom(QUESTION_PICTURE).where(QUESTION_PICTURE.PART_ID.eq(part)).execute();
        pictures.forEach((name, sha256) -> db.insertInto(QUESTION_PICTURE)
                .set(QUESTION_PICTURE.PART_ID, part)
                .set(QUESTION_PICTURE.NAME, name)
                .set(QUESTION_PICTURE.SHA256, sha256)
                .execute());
    }

    /**
     * Changes it; what was answered stays.
     *
     * @param change what is said of it to those who answer; empty for a draft
     * @throws Stale if it was changed meanwhile
     */
    public void change(
            UUID part, int revision, Questionnaire now, Map<String, Sha256> pictures, Optional<Change> change) {
        Stale.unlessOne(
                db.update(QUESTIONNAIRE)
                        .set(QUESTIONNAIRE.CONTENT, QuestionText.of(now))
                        .set(QUESTIONNAIRE.REVISION, revision + 1)
                        .set(QUESTIONNAIRE.CHANGED_AT, change.map(Change::at).orElse(null))
                        .set(
                                QUESTIONNAIRE.CHANGE_WORDS,
                                change.map(Change::words).orElse(""))
                        .where(QUESTIONNAIRE.PART_ID.eq(part), QUESTIONNAIRE.REVISION.eq(revision))
                        .execute(),
                "The questionnaire");
        keep(part, pictures);
    }

    /** The picture that a questionnaire speaks of by a name. */
    public Optional<Sha256> picture(UUID part, String name) {
        return db.select(QUESTION_PICTURE.SHA256)
                .from(QUESTION_PICTURE)
                .where(QUESTION_PICTURE.PART_ID.eq(part), QUESTION_PICTURE.NAME.eq(name))
                .fetchOptional(QUESTION_PICTURE.SHA256);
    }

    /** Keeps what somebody says now in place of what they said before; nothing takes their answer away. */
    public void answer(UUID part, UUID question, ContactId by, List<String> said, Instant now) {
        if (said.isEmpty()) {
            db.deleteFrom(ANSWER)
                    .where(ANSWER.PART_ID.eq(part), ANSWER.QUESTION_ID.eq(question), ANSWER.CONTACT_ID.eq(by))
                    .execute();
            return;
        }
        String text = QuestionText.ofSaid(said);
        db.insertInto(ANSWER)
                .set(ANSWER.PART_ID, part)
                .set(ANSWER.QUESTION_ID, question)
                .set(ANSWER.CONTACT_ID, by)
                .set(ANSWER.SAID, text)
                .set(ANSWER.GIVEN_AT, now)
                .onDuplicateKeyUpdate()
                .set(ANSWER.SAID, text)
                .set(ANSWER.GIVEN_AT, now)
                .execute();
    }

    /** Keeps whose answer counts. */
    public void choose(UUID part, Answer.Choice choice, Actor by) {
        db.deleteFrom(ANSWER_CHOICE)
                .where(ANSWER_CHOICE.PART_ID.eq(part), ANSWER_CHOICE.QUESTION_ID.eq(choice.question()))
                .execute();
        db.insertInto(ANSWER_CHOICE)
                .set(ANSWER_CHOICE.PART_ID, part)
                .set(ANSWER_CHOICE.QUESTION_ID, choice.question())
                .set(ANSWER_CHOICE.CONTACT_ID, choice.of())
                .set(ANSWER_CHOICE.CHOSEN_BY, by)
                .set(ANSWER_CHOICE.CHOSEN_AT, choice.at())
                .execute();
    }

    /** Takes away those of a draft. */
    void discard(RequestId request) {
        var parts = select(REQUEST_PART.ID).from(REQUEST_PART).where(REQUEST_PART.REQUEST_ID.eq(request));
        db.deleteFrom(QUESTION_PICTURE)
                .where(QUESTION_PICTURE.PART_ID.in(parts))
                .execute();
        db.deleteFrom(QUESTIONNAIRE).where(QUESTIONNAIRE.PART_ID.in(parts)).execute();
    }
}
