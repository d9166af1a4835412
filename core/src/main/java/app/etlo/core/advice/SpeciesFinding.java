package app.etlo.core.advice;

import app.etlo.core.mix.Component;
import app.etlo.core.mix.Finding;
import app.etlo.core.mix.Fitness;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A reason against a species that is in a mix anyway. One judgement for each reason of the candidates' list. */
final class SpeciesFinding extends Judgement {
    /** Reasons that have a judgement of their own, or are of the full rate and not of the share that is sown. */
    private static final Set<String> TOLD_ELSEWHERE = Set.of(
            "kin-of-next-crop", "plugs-drains", "residual-herbicide", "harms-the-stock", "rarely-useful", "expensive");

    private static final Map<String, Weight> WEIGHTS = Map.of(
            "seeds-before-end", Weight.THINK,
            "hard-to-end", Weight.THINK,
            "winterkill-unsure", Weight.THINK,
            "volunteers-in-grain", Weight.THINK);

    private static final String LISTED = "on-noxious-list";

    private final String rule;

    private SpeciesFinding(String rule, Weight weight, String speaks, Source source) {
        super("mix-" + rule, weight, Step.MIX, speaks, source, "medium");
        this.rule = rule;
    }

    static List<Judgement> all() {
        return Fitness.reasons().stream()
                .filter(r -> !TOLD_ELSEWHERE.contains(r.name()))
                .<Judgement>map(r -> new SpeciesFinding(
                        r.name(),
                        r.name().equals(LISTED)
                                ? Weight.STOP
                                : r.excludes() ? Weight.THINK : WEIGHTS.getOrDefault(r.name(), Weight.TIP),
                        "a species of the mix is " + (r.excludes() ? "left out of" : "in doubt among")
                                + " the candidates: " + r.name().replace('-', ' '),
                        r.source()))
                .toList();
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(this::ofCover);
    }

    /** Species of which the same is to be said share a note. */
    private Stream<Note> ofCover(Situation.Cover c) {
        Map<String, List<Component>> byText = new LinkedHashMap<>();
        boolean excludes = false;
        for (Component x : c.components()) {
            for (Finding f : c.findings().getOrDefault(x.species().id(), List.of())) {
                if (f.rule().equals(rule)) {
                    excludes = f.excludes();
                    byText.computeIfAbsent(f.text(), t -> new ArrayList<>()).add(x);
                }
            }
        }
        String wouldChange = excludes
                ? "another species; it may stay, and the note stays with it"
                : "another species, date or way of ending";
        return byText.entrySet().stream().map(e -> {
            String names = e.getValue().stream().map(x -> x.species().name()).collect(Collectors.joining(", "));
            String text = e.getKey();
            return note(
                    c.id() + "/" + e.getValue().get(0).species().id(),
                    c.sown(),
                    names + ": " + text + (text.endsWith(".") ? "" : "."),
                    List.of(names, text),
                    wouldChange);
        });
    }
}
