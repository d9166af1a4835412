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
            "kin-of-next-crop",
            "plugs-drains",
            "residual-herbicide",
            "harms-the-stock",
            "no-useful-stand",
            "rarely-useful",
            "kin-of-last-crop",
            "lives-on",
            "hard-seed",
            "dies-before-end",
            "bares-the-slope",
            "expensive");

    private static final Map<String, Weight> WEIGHTS = Map.of(
            "seeds-before-end", Weight.THINK,
            "hard-to-end", Weight.THINK,
            "winterkill-unsure", Weight.THINK,
            "volunteers-in-grain", Weight.THINK);

    /** Reasons that are settled on the End step. */
    private static final Set<String> OF_THE_END =
            Set.of("survives-its-end", "cannot-be-ended", "hard-to-end", "seeds-before-end");

    private final String rule;

    private SpeciesFinding(String rule, Weight weight, String speaks, Source source) {
        super("mix-" + rule, weight, OF_THE_END.contains(rule) ? Step.END : Step.MIX, speaks, source, "medium");
        this.rule = rule;
    }

    static List<Judgement> all() {
        return Fitness.reasons().stream()
                .filter(r -> !TOLD_ELSEWHERE.contains(r.name()))
                .<Judgement>map(r -> new SpeciesFinding(
                        r.name(),
                        Fitness.stops(r.name())
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

    /** One note for a matter: species of which the same is said share a sentence, and those of the rule share the note. */
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
        if (byText.isEmpty()) {
            return Stream.empty();
        }
        String wouldChange = excludes
                ? "another species; it may stay, and the note stays with it"
                : "another species, date or way of ending";
        List<String> sentences = byText.entrySet().stream()
                .map(e -> sentence(names(e.getValue()), e.getKey()))
                .toList();
        Component first = byText.values().iterator().next().get(0);
        return Stream.of(note(
                c.id() + "/" + first.species().id(), c.sown(), String.join(" ", sentences), sentences, wouldChange));
    }

    private static String names(List<Component> of) {
        return of.stream().map(x -> x.species().name()).collect(Collectors.joining(", "));
    }

    /** A text that is a sentence of its own names the species itself. */
    private static String sentence(String names, String text) {
        String all = Character.isUpperCase(text.charAt(0)) ? text : names + ": " + text;
        return all.endsWith(".") ? all : all + ".";
    }
}
