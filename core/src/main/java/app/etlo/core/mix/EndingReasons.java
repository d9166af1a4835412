package app.etlo.core.mix;

import app.etlo.core.mix.FitnessRule.Case;
import app.etlo.core.quantity.Shown;
import java.util.List;
import java.util.Optional;

/** Whether a species can be ended as planned, with the tools that are there, and what comes again. */
final class EndingReasons {
    /** Below this kill a method does not end it. */
    private static final double HARDLY_KILLED = 0.6;

    private static final double WELL_KILLED = 0.85;
    /** From here on winter takes too little of it to be mentioned. */
    private static final double MOSTLY_ALIVE = 0.95;
    /** From this share of hard seed on it is talked of. */
    private static final double MUCH_HARD_SEED = 0.1;

    private EndingReasons() {}

    static Optional<String> cannotBeEnded(Case c) {
        return killed(c, 0, HARDLY_KILLED)
                .filter(text -> c.place().organic())
                .map(text -> text + ", and no herbicide may follow");
    }

    static Optional<String> hardToEnd(Case c) {
        return killed(c, HARDLY_KILLED, WELL_KILLED);
    }

    /** With organic certification it is left out of the proposals by another rule. */
    static Optional<String> survives(Case c) {
        return killed(c, 0, HARDLY_KILLED).filter(text -> !c.place().organic());
    }

    /**
     * What the method kills, where so much is gone after it and winter together; nothing where winter is the method. What winter has
     * killed before needs no method.
     */
    private static Optional<String> killed(Case c, double from, double to) {
        double alive = c.prospect().aliveShare();
        return c.killed()
                .filter(k -> !Reasons.byWinter(c) && 1 - alive * (1 - k) >= from && 1 - alive * (1 - k) < to)
                .flatMap(k -> c.place()
                        .end()
                        .map(e -> e.words()
                                + " on " + Shown.date(e.date()) + " kills about " + Math.round(k * 100) + " % of "
                                + (alive > MOSTLY_ALIVE
                                        ? "it"
                                        : "what lives till then (" + Reasons.years(alive) + ")")));
    }

    /** Whether so much is gone after a kill and winter together that nothing more is said of it. */
    static boolean wellKilled(Prospect p, double killed) {
        return 1 - p.aliveShare() * (1 - killed) >= WELL_KILLED;
    }

    static Optional<String> livesOn(Case c) {
        return Reasons.when(
                c.species().growth().isPerennial()
                        && !Reasons.byWinter(c)
                        && c.prospect().aliveShare() >= Reasons.SOME_YEARS,
                "perennial: what is not killed by its end comes again");
    }

    static Optional<String> hardSeed(Case c) {
        double share = c.species().growth().hardSeedShare();
        return Reasons.when(
                share >= MUCH_HARD_SEED,
                "about " + Math.round(share * 100) + " % hard seed: it comes up in later years");
    }

    /** Small seed wants a drill, or a spreader; speaks only where machines are entered. */
    static Optional<String> noMachine(Case c) {
        List<String> machines = c.place().machines();
        if (machines.isEmpty()) {
            return Optional.empty();
        }
        boolean rolled = c.place().end().filter(e -> e.method().rolls()).isPresent();
        if (rolled
                && !machines.contains("roller-crimper")
                && c.species().use().kill().rolledFlowering() > WELL_KILLED) {
            return Optional.of("to be rolled, and no roller-crimper is entered");
        }
        return Reasons.when(
                SeedBox.isSmall(c.species()) && !machines.contains("drill") && !machines.contains("spreader"),
                "small seed, and neither drill nor spreader is entered");
    }
}
