package vividroster.server.playingtests;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Rubric;
import vividroster.core.curriculum.TestTemplate;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Excerpt;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.PlayingTest.Part;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.TestConditions;
import vividroster.core.text.Lengths;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.lines.LineTimes;
import vividroster.server.lines.LineTimes.Timed;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.rubrics.RubricDraft;
import vividroster.server.rubrics.Rubrics;

/** Building, editing and copying playing tests. An edit makes a version; what was heard stays as it was heard. */
@Service
class TestEditing {

    private final PlayingTestQueries queries;
    private final PlayingTests tests;
    private final Rubrics rubrics;
    private final Library library;
    private final LineTimes times;

    TestEditing(PlayingTestQueries queries, PlayingTests tests, Rubrics rubrics, Library library, LineTimes times) {
        this.queries = queries;
        this.tests = tests;
        this.rubrics = rubrics;
        this.library = library;
        this.times = times;
    }

    /** @param version the draft is made from; sent back with the edit */
    record Drafted(TestDraft draft, int version, boolean retired) {}

    /** @throws Problem where it is no playing test */
    @Transactional(readOnly = true)
    Drafted draft(UUID programId, UUID milestoneId) {
        Milestone milestone = test(programId, milestoneId);
        PlayingTest test = tests.of(programId, milestoneId)
                .orElseThrow(() -> Problem.input("milestoneId", "Nothing is known of what this test plays."));
        return new Drafted(
                TestDraft.of(milestone, test),
                milestone.version(),
                library.retired(programId).contains(milestoneId));
    }

    /** A first draft of a test of one line, or of nothing yet. @param lineId null for nothing yet */
    @Transactional(readOnly = true)
    TestDraft first(UUID programId, UUID lineId) {
        long before = library.allMilestones(programId).stream()
                .filter(m -> m.kind() == MilestoneKind.PLAYING_TEST)
                .count();
        Rubric rubric = rubrics.shipped().getFirst();
        String name = TestTemplate.name((int) before);
        Optional<Milestone> line = Optional.ofNullable(lineId).map(id -> library.milestone(programId, id));
        return new TestDraft(
                name,
                line.map(played -> TestTemplate.title((int) before, played)).orElse(name),
                line.map(played -> List.of(new TestDraft.PartDraft(played.id(), null, List.of())))
                        .orElse(List.of()),
                TestDraft.ConditionsDraft.of(TestConditions.usual()),
                RubricDraft.of(rubric),
                TestDraft.RetakesDraft.of(RetakePolicy.usual()),
                1);
    }

    /** @return the new test's milestone */
    @Transactional
    UUID write(SignedIn person, TestDraft draft) {
        UUID programId = person.programId();
        PlayingTest test = draft.toTest();
        Rubric rubric = draft.rubric().toRubric("rubric.");
        Milestone milestone = milestone(Ids.next(), 1, draft, rubric, Map.of(), Set.of());
        TestFacts facts = checked(programId, milestone.id(), test);
        library.addTestAtEnd(programId, milestone, facts);
        queries.insertVersion(programId, milestone.id(), 1, TestContent.of(test), person.accountId());
        return milestone.id();
    }

    /**
     * Keeps an edit as the next version.
     *
     * @param version the draft was made from
     * @throws Problem when somebody else edited it meanwhile, or the draft does not hold together
     */
    @Transactional
    void edit(SignedIn person, UUID milestoneId, int version, TestDraft draft) {
        UUID programId = person.programId();
        Milestone now = test(programId, milestoneId);
        if (now.version() != version) {
            throw Problem.conflict("\"" + now.title()
                    + "\" was edited by someone else in the meantime. Your words are still here: load the test in"
                    + " another window and compare.");
        }
        PlayingTest test = draft.toTest();
        Map<Integer, PassRule> earlier = new HashMap<>(now.earlierRules());
        earlier.put(version, now.passRule());
        Milestone next = milestone(
                milestoneId, version + 1, draft, draft.rubric().toRubric("rubric."), earlier, now.appliesTo());
        library.reviseTest(programId, next, checked(programId, milestoneId, test));
        queries.insertVersion(programId, milestoneId, next.version(), TestContent.of(test), person.accountId());
    }

    /** Another test that asks the same, to be made different. */
    @Transactional
    UUID copy(SignedIn person, UUID milestoneId) {
        TestDraft of = draft(person.programId(), milestoneId).draft();
        String title = "Copy of " + of.title();
        return write(
                person,
                new TestDraft(
                        of.shortName(),
                        title.substring(0, Math.min(Lengths.TITLE, title.length())),
                        of.parts(),
                        of.conditions(),
                        of.rubric(),
                        of.retakes(),
                        of.listeners()));
    }

    @Transactional
    void retire(UUID programId, UUID milestoneId, boolean retired) {
        test(programId, milestoneId);
        library.retire(programId, milestoneId, retired);
    }

    private Milestone test(UUID programId, UUID milestoneId) {
        Milestone milestone = library.milestone(programId, milestoneId);
        if (milestone.kind() != MilestoneKind.PLAYING_TEST) {
            throw Problem.input("milestoneId", "\"" + milestone.title() + "\" is no playing test.");
        }
        return milestone;
    }

    private static Milestone milestone(
            UUID id,
            int version,
            TestDraft draft,
            Rubric rubric,
            Map<Integer, PassRule> earlier,
            Set<InstrumentCode> appliesTo) {
        return new Milestone(
                id,
                MilestoneKind.PLAYING_TEST,
                draft.shortName().strip(),
                draft.title().strip(),
                false,
                appliesTo,
                version,
                new PassRule.ScoreAtLeast(rubric.mark()),
                rubric.criteria(),
                earlier);
    }

    /** Whether all it plays is there. @throws Problem naming the part that is not */
    private TestFacts checked(UUID programId, UUID testId, PlayingTest test) {
        Set<UUID> ids = test.parts().stream().map(Part::milestoneId).collect(Collectors.toSet());
        Map<UUID, Milestone> known =
                library.milestones(programId, ids).stream().collect(Collectors.toMap(Milestone::id, m -> m));
        Map<UUID, LineFacts> lines = library.lines(programId, ids);
        Map<UUID, Timed> timed = times.timed(programId, lines.keySet());
        for (int i = 0; i < test.parts().size(); i++) {
            Part part = test.parts().get(i);
            String field = "parts[" + i + "]";
            Milestone milestone = Optional.ofNullable(known.get(part.milestoneId()))
                    .orElseThrow(() -> Problem.input(field, "The library has no such line or check any more."));
            if (milestone.kind() != MilestoneKind.LINE && milestone.kind() != MilestoneKind.TECHNIQUE_CHECK) {
                throw Problem.input(
                        field, "A test plays lines, excerpts and checks; \"" + milestone.title() + "\" is neither.");
            }
            fits(part, field, lines.get(part.milestoneId()), timed.get(part.milestoneId()));
        }
        Optional<UUID> first = test.parts().stream()
                .map(Part::milestoneId)
                .filter(lines::containsKey)
                .findFirst();
        return new TestFacts(
                testId,
                first,
                TestWording.inOne(test.conditions(), first.map(id -> own(lines.get(id), timed.get(id)))));
    }

    static Bpm own(LineFacts line, Timed notes) {
        return notes == null ? line.tempo() : notes.view().tempo();
    }

    private static void fits(Part part, String field, LineFacts line, Timed notes) {
        List<String> fields = new ArrayList<>();
        List<Excerpt> excerpts = new ArrayList<>();
        part.excerpt().ifPresent(excerpt -> {
            fields.add(field + ".excerpt");
            excerpts.add(excerpt);
        });
        for (int v = 0; v < part.variants().size(); v++) {
            String variant = field + ".variants[" + v + "].excerpt";
            part.variants().get(v).excerpt().ifPresent(excerpt -> {
                fields.add(variant);
                excerpts.add(excerpt);
            });
        }
        for (int i = 0; i < excerpts.size(); i++) {
            Excerpt excerpt = excerpts.get(i);
            if (line == null) {
                throw Problem.input(fields.get(i), "A check has no measures; leave the excerpt out.");
            }
            if (notes == null) {
                int last = line.measures();
                if (excerpt.from() > last || excerpt.to() > last || excerpt.from() < 1 || excerpt.to() < 1) {
                    int beyond = excerpt.from() > last || excerpt.from() < 1 ? excerpt.from() : excerpt.to();
                    throw Problem.input(
                            fields.get(i), TestWording.fault(excerpt, new Excerpt.NoSuchMeasure(beyond, 1, last)));
                }
                if (excerpt.to() < excerpt.from()) {
                    throw Problem.input(fields.get(i), TestWording.fault(excerpt, new Excerpt.NeverAfter()));
                }
            } else {
                String where = fields.get(i);
                excerpt.in(notes.view(), notes.numbering()).fault().ifPresent(fault -> {
                    throw Problem.input(where, TestWording.fault(excerpt, fault));
                });
            }
        }
    }
}
