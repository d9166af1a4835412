package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A crop or a species of a cover too soon after another of its plant family, crops and covers of the past counted as hosts alike. It
 * stops where a disease of the family is on record for the field.
 */
final class FamilyGap extends Judgement {
    private static final String BRASSICAS = "Brassicaceae";
    /** Years from one to the next where the farm sets none (brassicas one year in 4 or more, pea and faba 1 in 5). */
    private static final Map<String, Integer> USUAL = Map.of(BRASSICAS, 4);

    private static final Set<String> PEAS = Set.of("field-pea", "faba-bean", "winter-pea", "spring-pea");
    private static final int PEAS_YEARS = 5;
    private static final Map<String, List<String>> DISEASES = Map.of(
            BRASSICAS,
            List.of("clubroot", "blackleg", "verticillium"),
            "Fabaceae",
            List.of("root rot", "aphanomyces", "nematode", "sclerotinia", "white mould"),
            "Solanaceae",
            List.of("nematode", "verticillium", "blight"));
    /** Species that share no family with the common broadleaf crops; two of them are named in place of what is too soon. */
    private static final List<FieldFacts.Grown> INSTEAD = List.of(
            new FieldFacts.Grown(0, "phacelia", "phacelia", "Boraginaceae"),
            new FieldFacts.Grown(0, "spring-oats", "spring oats", "Poaceae"),
            new FieldFacts.Grown(0, "buckwheat", "buckwheat", "Polygonaceae"));

    private final boolean diseased;

    FamilyGap(boolean diseased) {
        super(
                diseased ? "family-gap-diseased" : "family-gap",
                diseased ? Weight.STOP : Weight.THINK,
                Step.ROTATION,
                "a crop or cover species comes sooner after another of its plant family than the farm's gap (brassicas 4 years, pea and"
                        + " faba 5 where none is set)"
                        + (diseased
                                ? ", and a disease of the family is on record for the field"
                                : ", and no disease of the family is on record for the field"),
                Source.commonPractice(
                        "brassicas and host covers one year in 4 or more (clubroot spores last 15 years); pea and faba 1 in 5"),
                "medium");
        this.diseased = diseased;
    }

    /**
     * Something that grew or will grow.
     *
     * @param at when it was sown; the middle of the year where only that is known
     */
    private record Host(
            String note, String plant, String name, String family, LocalDate at, boolean cover, boolean planned) {}

    private static List<Host> hosts(Situation s) {
        List<Host> all = new ArrayList<>();
        s.field()
                .history()
                .forEach(g -> all.add(
                        new Host("", g.id(), g.name(), g.family(), LocalDate.of(g.year(), 7, 1), false, false)));
        s.crops()
                .forEach(c -> c.planted()
                        .or(c::harvested)
                        .ifPresent(d -> all.add(new Host(
                                c.id(),
                                c.crop().id(),
                                c.crop().name(),
                                c.crop().family(),
                                d,
                                false,
                                !d.isBefore(s.asOf())))));
        s.covers()
                .forEach(c -> c.sown()
                        .ifPresent(d -> c.components().stream()
                                .map(k -> k.species())
                                .forEach(k -> all.add(new Host(
                                        c.id() + "/" + k.id(),
                                        k.id(),
                                        k.name(),
                                        k.family(),
                                        d,
                                        true,
                                        !d.isBefore(s.asOf()))))));
        all.sort(Comparator.comparing(Host::at));
        return all;
    }

    @Override
    public Stream<Note> judge(Situation s) {
        List<Host> all = hosts(s);
        return all.stream()
                .filter(Host::planned)
                .flatMap(x -> before(s, all, x).stream().flatMap(y -> speak(s, x, y)));
    }

    /** The last of its family before it that is too near; the next crop after a cover has a note of its own. */
    private static Optional<Host> before(Situation s, List<Host> all, Host x) {
        return all.stream()
                .filter(y -> y.at().isBefore(x.at()) && !y.note().equals(x.note()))
                .filter(y -> y.family().equals(x.family()))
                .filter(y -> y.at().plusYears(gap(s, x, y)).isAfter(x.at()))
                .filter(y -> !(y.cover() && !x.cover() && isNext(s, y, x)))
                .reduce((a, b) -> b);
    }

    private static int gap(Situation s, Host x, Host y) {
        int own = Optional.ofNullable(s.field().familyGapYears().get(x.family()))
                .orElse(USUAL.getOrDefault(x.family(), 0));
        return PEAS.contains(x.plant()) && PEAS.contains(y.plant()) ? Math.max(own, PEAS_YEARS) : own;
    }

    private static boolean isNext(Situation s, Host cover, Host crop) {
        return s.covers().stream()
                .filter(c -> cover.note().startsWith(c.id() + "/"))
                .anyMatch(c -> c.next().filter(n -> n.id().equals(crop.note())).isPresent());
    }

    private Stream<Note> speak(Situation s, Host x, Host y) {
        Optional<FieldFacts.Pest> seen = s.field().pests().stream()
                .filter(p ->
                        DISEASES.getOrDefault(x.family(), List.of()).stream().anyMatch(p::isLike))
                .findFirst();
        if (seen.isPresent() != diseased) {
            return Stream.empty();
        }
        int years = gap(s, x, y);
        boolean set = s.field().familyGapYears().containsKey(x.family());
        String instead = INSTEAD.stream()
                .filter(i -> !i.family().equals(x.family()))
                .map(FieldFacts.Grown::name)
                .limit(2)
                .reduce((a, b) -> a + " or " + b)
                .orElse("");
        return Stream.of(note(
                x.note(),
                Optional.of(x.at()),
                x.name() + " in " + x.at().getYear() + " comes after "
                        + y.name().toLowerCase(Locale.ROOT) + (y.cover() ? ", a cover," : "") + " in "
                        + y.at().getYear() + ": both " + x.family() + ", closer than the " + years + " years that "
                        + (set ? "this farm keeps" : "are usual")
                        + seen.map(p -> ", and " + p.name().toLowerCase(Locale.ROOT) + " is on record here" + p.when())
                                .orElse("")
                        + (x.family().equals(BRASSICAS) ? ". Clubroot spores live 15 years" : ". Root rots build up")
                        + (x.cover()
                                ? ". In its place: " + instead + "."
                                : ". Take another crop, or a longer way to it."),
                List.of(y.plant() + " " + y.at().getYear(), x.plant() + " " + x.at().getYear(), "gap " + years),
                x.cover() ? instead : "a crop of another family; the farm's gap in the step Field"));
    }
}
