package app.etlo.core.ground;

/**
 * The simulation with one of its inputs moved, to see what a result hangs on. Factors are 1 and shifts 0 where nothing is moved.
 *
 * @param emergence factor on the plants that come up
 * @param lightUse factor on the use of light
 * @param toFlower factor on the degree days to anthesis
 * @param hardinessC shift of the half-lethal temperatures, degrees Celsius
 * @param humus factor on what organic matter frees
 * @param nitrate factor on the nitrate at the start
 * @param waterShare shift of the share of the available water at the start
 * @param rain factor on rain
 */
public record GroundVariation(
        double emergence,
        double lightUse,
        double toFlower,
        double hardinessC,
        double humus,
        double nitrate,
        double waterShare,
        double rain) {
    public static final GroundVariation NONE = new GroundVariation(1, 1, 1, 0, 1, 1, 0, 1);

    public GroundVariation emergence(double factor) {
        return new GroundVariation(factor, lightUse, toFlower, hardinessC, humus, nitrate, waterShare, rain);
    }

    public GroundVariation lightUse(double factor) {
        return new GroundVariation(emergence, factor, toFlower, hardinessC, humus, nitrate, waterShare, rain);
    }

    public GroundVariation toFlower(double factor) {
        return new GroundVariation(emergence, lightUse, factor, hardinessC, humus, nitrate, waterShare, rain);
    }

    public GroundVariation hardiness(double shiftC) {
        return new GroundVariation(emergence, lightUse, toFlower, shiftC, humus, nitrate, waterShare, rain);
    }

    public GroundVariation humus(double factor) {
        return new GroundVariation(emergence, lightUse, toFlower, hardinessC, factor, nitrate, waterShare, rain);
    }

    public GroundVariation nitrate(double factor) {
        return new GroundVariation(emergence, lightUse, toFlower, hardinessC, humus, factor, waterShare, rain);
    }

    public GroundVariation water(double shift) {
        return new GroundVariation(emergence, lightUse, toFlower, hardinessC, humus, nitrate, shift, rain);
    }

    public GroundVariation rain(double factor) {
        return new GroundVariation(emergence, lightUse, toFlower, hardinessC, humus, nitrate, waterShare, factor);
    }
}
