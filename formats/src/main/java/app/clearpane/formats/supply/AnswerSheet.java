package app.clearpane.formats.supply;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.supply.question.Questionnaire;
import app.clearpane.formats.table.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.json.JsonMapper;

/** Answers as they leave the house: as JSON (RFC 8259) and as a table. Questions that are not asked are left out. */
public final class AnswerSheet {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private AnswerSheet() {}

    /** As JSON in UTF-8: sections, their questions, the answer that counts and what each said. @param name its own */
    public static byte[] json(String name, Answers answers) {
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("questionnaire", name);
        List<Object> sections = new ArrayList<>();
        for (Questionnaire.Section section : answers.questionnaire().sections()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("section", section.title());
            one.put(
                    "questions",
                    section.questions().stream()
                            .filter(answers::isAsked)
                            .map(question -> question(answers, question))
                            .toList());
            sections.add(one);
        }
        all.put("sections", sections);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(all).getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, Object> question(Answers answers, Question question) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("question", question.words());
        one.put("form", question.form().words());
        one.put("answer", answers.counts(question).map(Answer::said).orElse(List.of()));
        answers.counts(question).ifPresent(answer -> one.put("by", answer.name()));
        one.put(
                "said",
                answers.to(question).stream()
                        .map(answer -> {
                            Map<String, Object> said = new LinkedHashMap<>();
                            said.put("by", answer.name());
                            said.put("at", answer.at().toString());
                            said.put("answer", answer.said());
                            return said;
                        })
                        .toList());
        return one;
    }

    /** As CSV (RFC 4180): a row for each question, a column for each person. */
    public static String csv(Answers answers) {
        Map<ContactId, String> people = new LinkedHashMap<>();
        answers.questionnaire().questions().stream()
                .flatMap(question -> answers.to(question).stream())
                .sorted(Comparator.comparing(Answer::name)
                        .thenComparing(one -> one.by().value()))
                .forEach(one -> people.putIfAbsent(one.by(), one.name()));
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            List<String> headings = new ArrayList<>(List.of("Section", "Question", "Answer", "By"));
            headings.addAll(people.values());
            printer.printRecord(headings.stream().map(SafeCell::of).toList());
            for (Questionnaire.Section section : answers.questionnaire().sections()) {
                for (Question question : section.questions()) {
                    if (answers.isAsked(question)) {
                        printer.printRecord(row(answers, section, question, people.keySet()));
                    }
                }
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return out.toString();
    }

    private static List<String> row(
            Answers answers, Questionnaire.Section section, Question question, Set<ContactId> people) {
        List<String> row = new ArrayList<>(List.of(
                section.title(),
                question.words(),
                answers.counts(question).map(AnswerSheet::cell).orElse(""),
                answers.counts(question).map(Answer::name).orElse("")));
        people.forEach(person ->
                row.add(answers.to(question, person).map(AnswerSheet::cell).orElse("")));
        return row.stream().map(SafeCell::of).toList();
    }

    private static String cell(Answer answer) {
        return String.join("; ", answer.said());
    }
}
