package app.clearpane.core.supply.question;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Questions put to a client, in sections. A condition names a question that stands before it (rule Q5). */
public record Questionnaire(List<Section> sections) {
    /** Questions that belong together. @param title may be empty @param words what is said above them; may be empty */
    public record Section(String title, String words, List<Question> questions) {
        public Section {
            questions = List.copyOf(questions);
        }
    }

    /** @throws IllegalArgumentException if a condition names no earlier question, or two questions are one */
    public Questionnaire {
        sections = List.copyOf(sections);
        Set<UUID> earlier = new HashSet<>();
        for (Section section : sections) {
            for (Question question : section.questions()) {
                question.askedIf()
                        .map(AskIf::question)
                        .filter(of -> !earlier.contains(of))
                        .ifPresent(of -> {
                            throw new IllegalArgumentException(
                                    "The condition of “" + question.words() + "” names no question above it.");
                        });
                if (!earlier.add(question.id())) {
                    throw new IllegalArgumentException("Two questions are the same: “" + question.words() + "”.");
                }
            }
        }
    }

    /** All of them, in order. */
    public List<Question> questions() {
        return sections.stream()
                .flatMap(section -> section.questions().stream())
                .toList();
    }

    /** One of them. */
    public Optional<Question> question(UUID id) {
        return questions().stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /**
     * What became of a questionnaire that was changed while it was answered.
     *
     * @param now the new one, in which a question that asks the same is the same, so that its answers stay
     * @param added how many questions are new
     * @param gone how many are not there any more; their answers are kept aside
     */
    public record Changed(Questionnaire now, int added, int gone) {
        /** Whether any question came or went. */
        public boolean ofQuestions() {
            return added + gone > 0;
        }
    }

    /** This one, changed to what another says. */
    public Changed changedTo(Questionnaire other) {
        Map<UUID, UUID> sameAs = new HashMap<>();
        Set<UUID> kept = new HashSet<>();
        for (Question asked : other.questions()) {
            questions().stream()
                    .filter(one -> one.asksTheSameAs(asked) && !kept.contains(one.id()))
                    .findFirst()
                    .ifPresent(one -> {
                        kept.add(one.id());
                        sameAs.put(asked.id(), one.id());
                    });
        }
        List<Section> now = other.sections().stream()
                .map(section -> new Section(
                        section.title(),
                        section.words(),
                        section.questions().stream()
                                .map(one -> one.with(
                                        same(sameAs, one.id()),
                                        one.askedIf()
                                                .map(when -> new AskIf(
                                                        same(sameAs, when.question()), when.how(), when.value()))))
                                .toList()))
                .toList();
        return new Changed(
                new Questionnaire(now),
                other.questions().size() - kept.size(),
                questions().size() - kept.size());
    }

    private static UUID same(Map<UUID, UUID> sameAs, UUID id) {
        return sameAs.getOrDefault(id, id);
    }
}
