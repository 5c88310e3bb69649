package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.ROUND;
import static app.clearpane.store.schema.Tables.ROUND_SIGNATORY;
import static app.clearpane.store.schema.Tables.SIGN_OFF;
import static app.clearpane.store.schema.Tables.VERSION;

import app.clearpane.core.deliverable.RoundId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** How rounds are read, on either side of the glass. */
public final class RoundRows {
  private RoundRows() {}

  /** The rounds whose version and deliverable meet a condition on {@code version} and {@code item}, oldest first. */
  public static List<Round> where(DSLContext db, Condition condition) {
    Map<RoundId, List<Round.Said>> said = db.select(ROUND.ID, SIGN_OFF.CONTACT_ID, CONTACT.NAME, SIGN_OFF.DECISION, SIGN_OFF.SENTENCE,
            SIGN_OFF.TYPED_NAME, SIGN_OFF.SHA256, SIGN_OFF.MADE_AT, SIGN_OFF.BATCH_ID)
        .from(SIGN_OFF).join(ROUND).on(ROUND.ID.eq(SIGN_OFF.ROUND_ID)).join(VERSION).on(VERSION.ID.eq(ROUND.VERSION_ID))
        .join(ITEM).on(ITEM.ID.eq(VERSION.DELIVERABLE_ID)).join(CONTACT).on(CONTACT.ID.eq(SIGN_OFF.CONTACT_ID)).where(condition.and(SIGN_OFF.TAKEN_BACK_AT.isNull()))
        .orderBy(SIGN_OFF.SEQUENCE)
        .fetchGroups(ROUND.ID, row -> new Round.Said(row.value2(), row.value3(), row.value4(), row.value5(), row.value6(), row.value7(), row.value8(), row.value9()));
    Map<RoundId, Round> rounds = new LinkedHashMap<>();
    Map<RoundId, List<Round.Signatory>> signatories = new HashMap<>();
    db.select(ROUND.ID, ROUND.VERSION_ID, ROUND.NUMBER, ROUND.SENT_AT, ROUND.DUE_AT, ROUND.RULE, ROUND.CLOSED_AT, ROUND.CLOSED_BY, ROUND.CLOSE_REASON, ROUND.OUTCOME,
            ROUND_SIGNATORY.CONTACT_ID, CONTACT.NAME, ROUND_SIGNATORY.LEAD_VOICE, ROUND.RULE_LEAST)
        .from(ROUND).join(VERSION).on(VERSION.ID.eq(ROUND.VERSION_ID)).join(ITEM).on(ITEM.ID.eq(VERSION.DELIVERABLE_ID))
        .leftJoin(ROUND_SIGNATORY).on(ROUND_SIGNATORY.ROUND_ID.eq(ROUND.ID)).leftJoin(CONTACT).on(CONTACT.ID.eq(ROUND_SIGNATORY.CONTACT_ID)).where(condition)
        .orderBy(ROUND.SENT_AT, ROUND.ID, ROUND_SIGNATORY.POSITION).forEach(row -> {
          List<Round.Signatory> those = signatories.computeIfAbsent(row.value1(), id -> new ArrayList<>());
          rounds.computeIfAbsent(row.value1(), id -> new Round(id, row.value2(), row.value3(), row.value4(), row.value5(), Deliverable.rule(row.value6(), row.value14()), row.value7(),
              row.value8(), row.value9(), row.value10(), those, said.getOrDefault(id, List.of())));
          if (row.value11() != null) {
            those.add(new Round.Signatory(row.value11(), row.value12(), row.value13()));
          }
        });
    return List.copyOf(rounds.values());
  }
}
