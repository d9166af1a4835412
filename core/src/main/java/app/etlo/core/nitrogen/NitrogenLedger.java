package app.etlo.core.nitrogen;

import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a crop need not be fed, line by line, the same nitrogen once: a line that is inside another is left out, with why.
 *
 * @param total of the counted lines, kg/ha; empty without one
 */
public record NitrogenLedger(List<LedgerLine> counted, List<LeftOut> leftOut, Optional<Figure> total)
        implements Figured {
    /** A line that is not counted, and why. */
    public record LeftOut(LedgerLine line, String why) {}

    /** What a recommendation, or rates tried behind the same crop, hold inside. */
    private static final Set<Kind> IN_RECOMMENDATION =
            EnumSet.of(Kind.PREVIOUS_CROP, Kind.FORAGE_STAND, Kind.ORGANIC_MATTER);
    /** A side-dress test saw in the soil what all of these had freed by then. */
    private static final Set<Kind> IN_SIDE_DRESS_TEST =
            EnumSet.complementOf(EnumSet.of(Kind.SIDE_DRESS_TEST, Kind.WATER));

    public NitrogenLedger {
        counted = List.copyOf(counted);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * @param lines every credit that is known of
     * @param inside what the need holds inside, as a sentence part such as "the local recommendation"; empty where it holds none
     */
    public static NitrogenLedger of(String prefix, List<LedgerLine> lines, Optional<String> inside) {
        List<LedgerLine> counted = new ArrayList<>();
        List<LeftOut> out = new ArrayList<>();
        for (LedgerLine l : lines) {
            Optional<String> why = why(l, lines, inside);
            why.ifPresentOrElse(w -> out.add(new LeftOut(l, w)), () -> counted.add(l));
        }
        return new NitrogenLedger(counted, out, total(prefix, counted));
    }

    private static Optional<String> why(LedgerLine l, List<LedgerLine> all, Optional<String> inside) {
        if (has(all, Kind.SIDE_DRESS_TEST) && IN_SIDE_DRESS_TEST.contains(l.kind())) {
            return Optional.of("the side-dress test found in the soil what it had freed by then");
        }
        if (inside.isPresent() && IN_RECOMMENDATION.contains(l.kind())) {
            return Optional.of(inside.get() + " has it inside");
        }
        if (has(all, Kind.SOIL_TEST) && l.kind() == Kind.PREVIOUS_CROP) {
            return Optional.of("the nitrate test found in the soil what it had left there");
        }
        return Optional.empty();
    }

    private static boolean has(List<LedgerLine> all, Kind kind) {
        return all.stream().anyMatch(x -> x.kind() == kind);
    }

    private static Optional<Figure> total(String prefix, List<LedgerLine> counted) {
        if (counted.isEmpty()) {
            return Optional.empty();
        }
        if (counted.size() == 1) {
            return Optional.of(counted.get(0).amount());
        }
        List<Input> inputs = new ArrayList<>();
        for (int i = 0; i < counted.size(); i++) {
            inputs.add(Input.figure("s" + (i + 1), counted.get(i).amount(), Unit.KG_PER_HA));
        }
        return Optional.of(Formula.sum("Credits and debits", counted.size())
                .figure(prefix + "/credits", "Credits and debits", Unit.KG_PER_HA, inputs));
    }

    @Override
    public List<Figure> figures() {
        return Stream.concat(
                        Stream.concat(counted.stream(), leftOut.stream().map(LeftOut::line))
                                .map(LedgerLine::amount),
                        total.filter(t -> counted.size() > 1).stream())
                .toList();
    }
}
