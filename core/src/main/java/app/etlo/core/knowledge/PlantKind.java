package app.etlo.core.knowledge;

import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * Numbers by which the simulation grows a kind of plant. Temperatures in degrees Celsius, sums in degree days, masses in g/m2.
 *
 * @param model species of the library that the numbers were made for; others of the kind are scaled from it
 * @param emergenceBaseC soil temperature from which a seed's clock runs
 * @param emergenceSum on that clock until it is up
 * @param optimumLowC growth is full from it up to {@code optimumHighC}, and none below the base and above the highest
 * @param rue dry tops and roots for each MJ of light taken, g
 * @param extinction of light by its leaves
 * @param leafGrowthPerDd relative growth of leaf area while the stand is small
 * @param leafShare of new mass that becomes leaf, at first
 * @param tsum from emergence to anthesis or early bloom
 * @param ripeningSum from stage 1 to stage 2; long where grain fills for long
 * @param vernalDays cool days after which it develops at full speed; 0 where it needs none
 * @param dayLengthFromH hours of day below which it hardly develops, up to those at which it does fully; both 0 where it does not mind
 * @param rosetteM height before stems
 * @param heightMassGM2 mass that carries two thirds of its height
 * @param vineM height to which it climbs on a companion; 0 where it does not
 * @param tenderC half-lethal temperature before hardening, {@code hardyC} after it
 * @param exposed share of its growing point that feels the air; the rest is at the ground, under snow
 * @param nitrogenA critical nitrogen, %, at 1 t/ha: falls with the power {@code nitrogenB} of the mass from {@code nitrogenFromTHa} on
 * @param fixesMostGG nitrogen fixed for each gram of new mass, at most
 * @param topsShareEarly share of new mass that stays above ground before stems
 * @param coverM2G ground covered by a gram of flat residue
 * @param tuned whether its numbers were tuned on checks of plausibility with its model; the others are derived
 */
public record PlantKind(
        String id,
        String name,
        Optional<String> model,
        double emergenceBaseC,
        double emergenceSum,
        double baseC,
        double optimumLowC,
        double optimumHighC,
        double highestC,
        double rue,
        double extinction,
        double seedlingLeafCm2,
        double leafGrowthPerDd,
        double specificLeafAreaM2G,
        double leafShare,
        double stageBaseC,
        double tsum,
        double ripeningSum,
        double vernalDays,
        double dayLengthFromH,
        double dayLengthToH,
        double rosetteM,
        double heightM,
        double heightMassGM2,
        double tenderC,
        double hardyC,
        double exposed,
        double rootMmPerDd,
        double rootM,
        double nitrogenA,
        double nitrogenB,
        double nitrogenFromTHa,
        double nitrogenLeastPercent,
        double fixesMostGG,
        double topsShareEarly,
        double vineM,
        double coverM2G,
        boolean warm,
        boolean tuned,
        Source source) {}
