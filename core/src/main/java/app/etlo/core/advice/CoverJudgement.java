package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A rule that looks at one cover at a time and has at most one thing to say of it. */
final class CoverJudgement extends Judgement {
    /**
     * What a rule says of a cover.
     *
     * @param at the day it is about
     */
    record Said(Optional<LocalDate> at, String text, List<String> facts, String wouldChange) {}

    /** The cover in its situation, and what there is to say; empty when nothing. */
    @FunctionalInterface
    interface Test {
        Optional<Said> of(Situation s, Situation.Cover c);
    }

    private final Test test;

    CoverJudgement(String name, Weight weight, String speaks, Source source, String confidence, Test test) {
        super(name, weight, Step.END, speaks, source, confidence);
        this.test = test;
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c ->
                        test.of(s, c).stream().map(x -> note(c.id(), x.at(), x.text(), x.facts(), x.wouldChange())));
    }
}
