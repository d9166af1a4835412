package app.etlo.core.mix;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * One reason for which a species may not fit.
 *
 * @param excludes whether it takes the species out of the proposals
 */
record FitnessRule(String name, boolean excludes, Source source, Test test) {

    /** The species in its place, in words why it does not fit; empty when it does or nothing is known. */
    @FunctionalInterface
    interface Test {
        Optional<String> of(Case c);
    }

    /**
     * A species, what it comes to in the season, the place, and the library.
     *
     * @param beside whether it grows beside others in a mix: then the mix as a whole is asked whether it makes a useful stand
     */
    record Case(
            Species species, Prospect prospect, boolean beside, MixPlace place, MixSeason season, Knowledge knowledge) {
        /** The share of it that the chosen method kills at the stage it is likely to have; empty without a method. */
        Optional<Double> killed() {
            return place.end().map(e -> {
                if (e.method().isWinter()) {
                    return 1 - prospect.aliveShare();
                }
                return e.kills(prospect);
            });
        }

        /** Share of the years in which it flowers before the end. */
        double flowering() {
            return prospect.flowersShare();
        }
    }

    Optional<Finding> judge(Case c) {
        return test.of(c).map(text -> new Finding(name, excludes, text, source));
    }
}
