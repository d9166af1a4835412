package app.etlo.core.ground;

/**
 * The simulation with one of its inputs moved, to see what a result hangs on. Factors are 1 and shifts 0 where nothing is moved.
 *
 * @param plants what is moved of plants and of what is done to them
 * @param ground what is moved of soil and weather
 */
public record GroundVariation(OfPlants plants, OfGround ground) {
    /**
     * @param emergence factor on the plants that come up
     * @param seed factor on the seed of covers
     * @param lightUse factor on the use of light
     * @param toFlower factor on the degree days to anthesis
     * @param hardinessC shift of the half-lethal temperatures, degrees Celsius
     * @param patches shift of the share of the light that neighbours share as patches: more of it, less competition
     * @param survivors factor on what an end leaves alive
     * @param fed factor on nitrogen given
     */
    public record OfPlants(
            double emergence,
            double seed,
            double lightUse,
            double toFlower,
            double hardinessC,
            double patches,
            double survivors,
            double fed) {
        static final OfPlants AS_THEY_ARE = new OfPlants(1, 1, 1, 1, 0, 0, 1, 1);
    }

    /**
     * @param humus factor on what organic matter frees
     * @param nitrate factor on the nitrate at the start
     * @param waterShare shift of the share of the available water at the start
     * @param holds factor on the water that the soil can hold for plants
     * @param rain factor on rain
     */
    public record OfGround(double humus, double nitrate, double waterShare, double holds, double rain) {
        static final OfGround AS_IT_IS = new OfGround(1, 1, 0, 1, 1);
    }

    public static final GroundVariation NONE = new GroundVariation(OfPlants.AS_THEY_ARE, OfGround.AS_IT_IS);

    private static GroundVariation of(OfPlants p) {
        return new GroundVariation(p, OfGround.AS_IT_IS);
    }

    private static GroundVariation of(OfGround g) {
        return new GroundVariation(OfPlants.AS_THEY_ARE, g);
    }

    public static GroundVariation emergence(double factor) {
        return of(new OfPlants(factor, 1, 1, 1, 0, 0, 1, 1));
    }

    public static GroundVariation seed(double factor) {
        return of(new OfPlants(1, factor, 1, 1, 0, 0, 1, 1));
    }

    public static GroundVariation lightUse(double factor) {
        return of(new OfPlants(1, 1, factor, 1, 0, 0, 1, 1));
    }

    public static GroundVariation toFlower(double factor) {
        return of(new OfPlants(1, 1, 1, factor, 0, 0, 1, 1));
    }

    public static GroundVariation hardiness(double shiftC) {
        return of(new OfPlants(1, 1, 1, 1, shiftC, 0, 1, 1));
    }

    public static GroundVariation patches(double shift) {
        return of(new OfPlants(1, 1, 1, 1, 0, shift, 1, 1));
    }

    public static GroundVariation survivors(double factor) {
        return of(new OfPlants(1, 1, 1, 1, 0, 0, factor, 1));
    }

    public static GroundVariation fed(double factor) {
        return of(new OfPlants(1, 1, 1, 1, 0, 0, 1, factor));
    }

    public static GroundVariation humus(double factor) {
        return of(new OfGround(factor, 1, 0, 1, 1));
    }

    public static GroundVariation nitrate(double factor) {
        return of(new OfGround(1, factor, 0, 1, 1));
    }

    public static GroundVariation water(double shift) {
        return of(new OfGround(1, 1, shift, 1, 1));
    }

    public static GroundVariation holds(double factor) {
        return of(new OfGround(1, 1, 0, factor, 1));
    }

    public static GroundVariation rain(double factor) {
        return of(new OfGround(1, 1, 0, 1, factor));
    }
}
