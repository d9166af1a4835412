package app.etlo.core.advice;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** All judgements, and what they say of a situation. */
public final class Judgements {
    private static final List<Judgement> OWN = List.of(
            new DatesOutOfOrder(),
            new DateFarAway(),
            new NumberDoubtful(),
            new SeedDensityOutOfRange(),
            new BrassicaAboveBlendShare(),
            new HardlySeen(),
            new SameFamilyAsNextCrop(),
            new TaprootAboveShallowTile(),
            new GerminationTestOld(),
            new LegumeWithoutInoculant(),
            new SownAfterLatestDate(),
            new CoverEndedAfterPlanting(),
            new TilledBeforeEnd(),
            new AimOutOfReach(),
            new CropFails(),
            new GoalAboveGrowth(),
            new StandFarFromForecast(),
            new TieUpExpected(),
            new NitrogenShortEarly(),
            new NitrateNotTested(),
            new LimeAsked(),
            new FedLegume(),
            new AnhydrousCare(),
            new UreaOnResidue(),
            new CoverCostsWater(),
            new ThinBeforeWinter(),
            new CoverFed(),
            new ResidualHerbicide(),
            new WeatherUncertain(),
            new SameCropTwice(),
            new SameFamilyTwice(),
            new NoAlternation(),
            new WindowWithoutCover(),
            new WeedsBeforeNoTill(),
            new WorkPeak(),
            new LegumeShare(),
            new ManureFeedsWeeds(),
            new VolunteersAhead(),
            new RootHarvestInWetSeason(),
            new SownOutsideWindow(),
            new PoorUnderMulch(),
            new NitrogenLeftByCrop(),
            new SoilTestOld(),
            new GrazedOnWetGround(),
            new HerbicideOnOrganic(),
            new SeedBankFed(),
            new WeightShareMisleads(),
            new CanopyDominated(),
            new LikeNextCrop(),
            new TreatedSeedFed(),
            new TreatedSeedHandled(),
            new NoxiousOnTag(),
            new TagNotLookedAt(),
            new HardinessOfLot(),
            new LotTooSmall(),
            new SharesOutOfUse(),
            new PanRootsOrSteel(),
            new SpadeTestPoor(),
            new PestOnRecord(),
            new SlugsOnRecord(),
            new LegumeBeforeSoybean(),
            new InoculantLate(),
            new SoakedSeedInDrill(),
            new WeedSeedOnTag(),
            new OwnSeedSown(),
            new FedInsideInterval(),
            new FamilyGap(false),
            new FamilyGap(true),
            new GreenBeforeSmallGrain(),
            new ContaminatesSeedCrop(),
            new FirstTry(),
            new RateOutOfUse(),
            new PurposeNotFollowed(),
            new OutsideSchool(),
            new DepthsApart(),
            new HerbicidesNotSaid(),
            new SownTooDeep(),
            new MulchSownThin(),
            new MulchSownThick(),
            new HarmsStock(),
            new SeedForMulch(),
            new ProgrammeAsked(),
            new LargeSeedOnSurface(),
            new SeedbedCold(),
            new SeedbedDry(),
            new FlownOffLeafDrop(),
            new FertiliserBesideSeed(),
            new RowZoneStaysGreen());
    private static final List<Judgement> ALL = Stream.of(
                    OWN,
                    LegalLimits.all(),
                    PlantedGreen.rules(),
                    EndTiming.rules(),
                    EndOfMulch.rules(),
                    SpeciesFinding.all())
            .flatMap(List::stream)
            .toList();

    private Judgements() {}

    public static List<Judgement> all() {
        return ALL;
    }

    /** Every note on the situation, heaviest first, then in the order of the work. */
    public static List<Note> of(Situation situation) {
        return ALL.stream()
                .flatMap(j -> j.judge(situation))
                .sorted(Comparator.comparing(Note::weight).thenComparing(Note::step))
                .toList();
    }

    /** The catalogue as a page of Markdown. */
    public static String catalogue() {
        StringBuilder page = new StringBuilder(
                "# Judgements\n\nEvery note Etlo can put in the margin. Generated from the rules; a test keeps it true.\n\n"
                        + "| rule | weight | step | speaks when | source | how far the source was checked |\n"
                        + "| --- | --- | --- | --- | --- | --- |\n");
        for (Judgement j : ALL) {
            page.append("| ")
                    .append(String.join(
                            " | ",
                            j.name(),
                            j.weight().id(),
                            j.step().id(),
                            j.speaks(),
                            j.source().text(),
                            j.source().status().words()))
                    .append(" |\n");
        }
        return page.toString();
    }
}
