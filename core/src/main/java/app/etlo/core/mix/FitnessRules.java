package app.etlo.core.mix;

import app.etlo.core.mix.FitnessRule.Test;
import app.etlo.core.working.Source;
import java.util.List;

/** The reasons for which a species is left out of the proposals, and those that only speak against it. */
final class FitnessRules {
    static final List<FitnessRule> ALL = List.of(
            out("cannot-emerge", "emergence in the ground simulation", GrowthReasons::cannotEmerge),
            out("no-useful-stand", "the ground simulation", GrowthReasons::noUsefulStand),
            out(
                    "winter-ends-it",
                    "frost in the ground simulation, nights of the weather record",
                    GrowthReasons::winterEndsIt),
            out(
                    "will-not-winterkill",
                    "a cover to be ended by winter must die in it",
                    GrowthReasons::willNotWinterkill),
            out("ph-outside", "pH range of handbooks", PlaceReasons::phOutside),
            out("drowns", "tolerance of wet soil in handbooks", PlaceReasons::drowns),
            out("residual-herbicide", "the label's interval as typed rules", PlaceReasons::residual),
            out("on-noxious-list", "the list of the law as typed; the law in force rules", PlaceReasons::onNoxiousList),
            out("cannot-be-ended", "organic rules allow no herbicide as a second tool", EndingReasons::cannotBeEnded),
            out("not-on-programme", "the programme's own list as typed", PlaceReasons::notOnProgramme),
            out(
                    "harms-the-stock",
                    "cautions of chapters on forage; the veterinarian decides",
                    PlaceReasons::harmsStock),
            out(
                    "same-crop-follows",
                    "a crop after itself keeps its pests and volunteers",
                    RotationReasons::sameCropFollows),
            out("plugs-drains", "taproots above shallow drains plug them", PlaceReasons::plugsDrains),
            but(
                    "another-must-carry",
                    "frost in the ground simulation, nights of the weather record",
                    GrowthReasons::anotherMustCarry),
            but("survives-its-end", "kill by stage; Etlo's own shares", EndingReasons::survives),
            but("hard-to-end", "kill by stage; Etlo's own shares", EndingReasons::hardToEnd),
            but("winterkill-unsure", "mild winters leave what was to die", GrowthReasons::winterkillUnsure),
            but(
                    "seeds-before-end",
                    "the ground simulation: seed can grow half way from bloom to ripeness",
                    GrowthReasons::seedsBeforeEnd),
            but("kin-of-next-crop", "a family's pests carry over", RotationReasons::kinOfNext),
            but("hosts-a-pest", "hosts of pests in handbooks", RotationReasons::hostsPest),
            but(
                    "volunteers-in-grain",
                    "vetch, ryegrass, radish and buckwheat ahead of small grain",
                    RotationReasons::volunteers),
            but("kin-of-last-crop", "a family's diseases and volunteers carry over", RotationReasons::kinOfPrevious),
            but("lives-on", "life cycle of handbooks", EndingReasons::livesOn),
            but("hard-seed", "hard seed of handbooks: it comes up in later years", EndingReasons::hardSeed),
            but("dies-before-end", "frost in the ground simulation", GrowthReasons::diesBefore),
            but(
                    "bares-the-slope",
                    "what is dead and brittle by winter holds no soil on a slope",
                    GrowthReasons::baresSlope),
            but(
                    "allelopathic",
                    "small seeds after rye, sorghum or oats; a disputed effect",
                    RotationReasons::allelopathic),
            but("for-experts", "readiness: expert species want a first small area", PlaceReasons::forExperts),
            but("feeds-slugs", "brassicas and clovers keep slugs", RotationReasons::feedsSlugs),
            but("no-machine-for-it", "the machines entered of the farm", EndingReasons::noMachine),
            but("expensive", "usual price times the full rate", PlaceReasons::expensive),
            but("rarely-useful", "the ground simulation", GrowthReasons::rarelyUseful),
            but("adds-little", "the ground simulation", GrowthReasons::addsLittle),
            but("shaded-out", "sown into a standing crop it must bear shade", PlaceReasons::shadedOut),
            but("caution-for-people", "contact and eating", PlaceReasons::people));

    private FitnessRules() {}

    private static FitnessRule out(String name, String source, Test test) {
        return new FitnessRule(name, true, Source.commonPractice(source), test);
    }

    private static FitnessRule but(String name, String source, Test test) {
        return new FitnessRule(name, false, Source.commonPractice(source), test);
    }
}
