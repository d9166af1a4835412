package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One small named rule that may speak a note. */
public abstract class Judgement {
    private final String name;
    private final Weight weight;
    private final Step step;
    private final String speaks;
    private final Source source;
    private final String confidence;

    /**
     * @param speaks when it speaks, for the catalogue
     * @param confidence how far it can be relied on: high, medium or low
     */
    protected Judgement(String name, Weight weight, Step step, String speaks, Source source, String confidence) {
        this.name = name;
        this.weight = weight;
        this.step = step;
        this.speaks = speaks;
        this.source = source;
        this.confidence = confidence;
    }

    /** The notes this rule has on the situation; none when it has nothing to say or lacks what it needs. */
    public abstract Stream<Note> judge(Situation situation);

    public final String name() {
        return name;
    }

    public final Weight weight() {
        return weight;
    }

    public final Step step() {
        return step;
    }

    public final String speaks() {
        return speaks;
    }

    public final Source source() {
        return source;
    }

    protected final Note note(
            String subject, Optional<LocalDate> at, String text, List<String> facts, String wouldChange) {
        return note(step, subject, at, text, facts, wouldChange);
    }

    protected final Note note(
            Step where, String subject, Optional<LocalDate> at, String text, List<String> facts, String wouldChange) {
        return new Note(
                name, weight, where, subject, at, text, facts, wouldChange, source, confidence, Optional.empty());
    }
}
