package app.etlo.core.advice;

import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** What the weed seed of a tag comes to on the field. */
final class WeedSeedOnTag extends Judgement {
    private static final double MUCH = 0.0025;
    /** A small weed seed, mg; Etlo's own, of the size of pigweed to foxtail. */
    private static final double SEED_MG = 1;

    WeedSeedOnTag() {
        super(
                "weed-seed-on-tag",
                Weight.THINK,
                Step.MIX,
                "weed seed is 0.25 % of the weight of a lot or more",
                Source.commonPractice(
                        "seed laws allow 1 to 2 % of weed seed; good seed has under 0.25 %. Seeds per area at 1 mg a seed, Etlo's own"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> b.rates().stream())
                        .flatMap(r -> r
                                .component()
                                .lot()
                                .filter(l -> l.tag().weedSeed() >= MUCH)
                                .map(l -> speak(s, c, r, l.label(), l.tag().weedSeed()))
                                .stream()));
    }

    private Note speak(Situation s, Situation.Cover c, SeedRate r, String lot, double share) {
        double kgHa = r.bulkKgHa().middle() * share;
        double perM2 = kgHa * 1e6 / SEED_MG / 1e4;
        String percent = Shown.plain(share * 100, 2) + " %";
        return note(
                c.id() + "/" + r.component().species().id(),
                c.sown(),
                "Lot " + lot + " holds " + percent + " weed seed: about " + s.say(perM2, Unit.PER_M2)
                        + " weed seeds are sown with it. Ask which weeds; one new to the farm costs more than the seed.",
                List.of("weed seed " + percent, "lot " + lot),
                "a cleaner lot, or cleaning and a purity test");
    }
}
