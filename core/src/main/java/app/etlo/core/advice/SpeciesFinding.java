package app.etlo.core.advice;

import app.etlo.core.mix.Finding;
import app.etlo.core.mix.Fitness;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** A reason against a species that stands in a mix all the same. One judgement for each reason of the candidates' list. */
final class SpeciesFinding extends Judgement {
    /** Reasons that have a judgement of their own. */
    private static final Set<String> TOLD_ELSEWHERE =
            Set.of("kin-of-next-crop", "plugs-drains", "residual-herbicide", "harms-the-stock", "rarely-useful");

    private static final Map<String, Weight> WEIGHTS = Map.of(
            "seeds-before-end", Weight.THINK,
            "hard-to-end", Weight.THINK,
            "winterkill-unsure", Weight.THINK,
            "volunteers-in-grain", Weight.THINK);

    private final String rule;

    private SpeciesFinding(String rule, Weight weight, String speaks, Source source) {
        super("mix-" + rule, weight, Step.MIX, speaks, source, "fair");
        this.rule = rule;
    }

    static List<Judgement> all() {
        return Fitness.reasons().stream()
                .filter(r -> !TOLD_ELSEWHERE.contains(r.name()))
                .<Judgement>map(r -> new SpeciesFinding(
                        r.name(),
                        r.excludes() ? Weight.THINK : WEIGHTS.getOrDefault(r.name(), Weight.TIP),
                        "a species of the mix is " + (r.excludes() ? "left out of" : "in doubt among")
                                + " the candidates: " + r.name().replace('-', ' '),
                        r.source()))
                .toList();
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> c.findings().getOrDefault(x.species().id(), List.<Finding>of()).stream()
                                .filter(f -> f.rule().equals(rule))
                                .map(f -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        x.species().name() + ": " + f.text() + ".",
                                        List.of(f.text()),
                                        f.excludes()
                                                ? "another species; it may stay, and the note stays with it"
                                                : "another species, date or way of ending"))));
    }
}
