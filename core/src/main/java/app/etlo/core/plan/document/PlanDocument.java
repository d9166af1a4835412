package app.etlo.core.plan.document;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.termination.Evidence;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An adviser's intention for one field, as docs/formats/plan-2.schema.json describes it. Flat lists with stable ids; windows
 * are derived, never stored; quantities are kept as typed; absent means default.
 */
public record PlanDocument(
        int schemaVersion,
        String id,
        String fieldId,
        Optional<String> name,
        List<CropEntry> crops,
        List<CoverEntry> covers,
        List<Operation> operations,
        List<AnswerEntry> answers) {

    public static final int SCHEMA_VERSION = 2;

    public PlanDocument {
        crops = List.copyOf(crops);
        covers = List.copyOf(covers);
        operations = List.copyOf(operations);
        answers = List.copyOf(answers);
    }

    /** A plan with nothing in it yet. */
    public static PlanDocument empty(String id, String fieldId) {
        return new PlanDocument(
                SCHEMA_VERSION, id, fieldId, Optional.empty(), List.of(), List.of(), List.of(), List.of());
    }

    /**
     * A cash crop; its dates are its sow and harvest operations.
     *
     * @param forSeed whether it is grown for seed
     * @param turnaroundDays from its harvest until the drill can go; none when absent
     */
    public record CropEntry(
            String id,
            String crop,
            Optional<Quantity> yieldGoal,
            Optional<Integer> turnaroundDays,
            Optional<NitrogenEntry> nitrogen,
            Optional<Boolean> forSeed) {}

    /**
     * How the crop's nitrogen is computed.
     *
     * @param school yield-goal, optimum or local; yield-goal when absent
     * @param creditsInside whether a recommendation, or rates tried, hold the credits of the crop before inside; they do when absent
     * @param coverCredit content, table or simulated; content when absent
     * @param organicMatterReference of the recommendation, %
     * @param ceiling legal maximum of all nitrogen brought to it
     * @param closedFrom first day of the year, MM-dd, on which law forbids it
     * @param closedTo last such day
     * @param standBefore how forage legumes stood that are the crop before
     */
    public record NitrogenEntry(
            Optional<String> school,
            Optional<Quantity> factor,
            Optional<Quantity> need,
            Optional<String> source,
            Optional<String> product,
            Optional<Quantity> productPrice,
            Optional<ResponseEntry> response,
            Optional<Boolean> creditsInside,
            Optional<String> coverCredit,
            Optional<Double> organicMatterReference,
            Optional<StandBeforeEntry> standBefore,
            Optional<Quantity> ceiling,
            Optional<String> closedFrom,
            Optional<String> closedTo) {
        /** Nothing said. */
        public static final NitrogenEntry NONE = new NitrogenEntry(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Yields at rates of nitrogen, and prices. */
    public record ResponseEntry(
            Optional<List<TriedEntry>> tried, Optional<Quantity> grainPrice, Optional<Quantity> nitrogenPrice) {}

    /** A yield at a rate on a site. */
    public record TriedEntry(Optional<String> site, Quantity rate, Quantity yield) {}

    /**
     * @param stand good, fair or poor
     * @param regrowth height when it was killed
     */
    public record StandBeforeEntry(String stand, Optional<Quantity> regrowth) {}

    /**
     * @param purpose what the full rates of its mix are taken for; {@code cover} when absent
     */
    public record CoverEntry(
            String id,
            PlaceEntry place,
            Optional<List<String>> aims,
            Optional<String> purpose,
            Optional<MixEntry> mix,
            Optional<StandEntry> stand,
            Optional<List<AlternativeEntry>> alternatives,
            Optional<List<CheckEntry>> checks,
            Optional<List<FallbackEntry>> fallbacks) {
        /** The same with what belongs to one season alone left behind: what stands, was weighed against it and seen. */
        public CoverEntry unseen(Optional<List<AlternativeEntry>> kept) {
            return new CoverEntry(id, place, aims, purpose, mix, Optional.empty(), kept, Optional.empty(), fallbacks);
        }

        /** The same with other checks. */
        public CoverEntry checked(Optional<List<CheckEntry>> seen) {
            return new CoverEntry(id, place, aims, purpose, mix, stand, alternatives, seen, fallbacks);
        }

        /** The same under another id, in another place, with another mix, and nothing of its season. */
        public CoverEntry copied(String newId, PlaceEntry newPlace, Optional<MixEntry> newMix) {
            return new CoverEntry(
                    newId,
                    newPlace,
                    aims,
                    purpose,
                    newMix,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
    }

    /**
     * Plan B of a cover: how it is ended if the first way fails.
     *
     * @param when what must have gone wrong, an id: thin, short-mulch, alive-after-winter, not-killed or other
     * @param by the day on which it is done at the latest
     */
    public record FallbackEntry(
            String id, @JsonProperty("if") String when, LocalDate by, List<Operation.EndPassEntry> passes) {
        public FallbackEntry {
            passes = List.copyOf(passes);
        }
    }

    /**
     * What was seen of a cover on a day in the field; the forecast from then on is corrected by it.
     *
     * @param quadrat cuts of what was sown, weeds sorted out
     * @param plants counted, on an area
     * @param height of the tallest
     * @param coverPercent of the ground by living leaves, seen from above
     * @param nodules pink, few or none, on the legumes
     * @param species that alone was looked at; the whole cover when absent
     * @param stage as its word; it counts for one species
     * @param transect beads on lines laid over the ground, instead of a cover judged by eye
     * @param tillers or shoots, on an area
     * @param patchesPercent of the field where the stand failed
     * @param evidence what is found in the ground where plants are missing, as its word
     * @param gate what it decides, with what only such a look sees
     */
    public record CheckEntry(
            String id,
            LocalDate on,
            Optional<QuadratEntry> quadrat,
            Optional<Quantity> plants,
            Optional<Quantity> height,
            Optional<Double> coverPercent,
            Optional<String> nodules,
            Optional<String> species,
            Optional<String> stage,
            Optional<TransectEntry> transect,
            Optional<Quantity> tillers,
            Optional<Double> patchesPercent,
            Optional<String> evidence,
            Optional<GateEntry> gate) {
        /** The same under another id. */
        public CheckEntry as(String newId) {
            return new CheckEntry(
                    newId,
                    on,
                    quadrat,
                    plants,
                    height,
                    coverPercent,
                    nodules,
                    species,
                    stage,
                    transect,
                    tillers,
                    patchesPercent,
                    evidence,
                    gate);
        }

        /** What kind of gate it is, where it is one. */
        public Optional<String> gateKind() {
            return gate.map(GateEntry::kind);
        }
    }

    /**
     * A gate: one look that decides something.
     *
     * @param kind one of {@link #KINDS}
     * @param sheddingPercent heads that shed pollen, or have
     * @param bloomPercent flowers that are open, or were
     * @param matDepth of the mulch as it lies
     * @param clumpDepth of its thickest clumps
     * @param soil how a handful from planting depth feels: crumbles, worm, ribbon or wet
     * @param alivePercent of the plants: after a kill, or after winter
     * @param coldestC lowest temperature of the winter, where it was measured here
     * @param zone of the ground that was looked at: row or middle; all of it when absent
     */
    public record GateEntry(
            String kind,
            Optional<Double> sheddingPercent,
            Optional<Double> bloomPercent,
            Optional<Quantity> matDepth,
            Optional<Quantity> clumpDepth,
            Optional<String> soil,
            Optional<Double> alivePercent,
            Optional<Double> coldestC,
            Optional<String> zone) {
        public static final List<String> KINDS =
                List.of("autumn", "pollen", "bloom", "mulch", "mat", "soil", "kill", "regrowth", "winter");
        public static final List<String> SOILS = List.of("crumbles", "worm", "ribbon", "wet");
    }

    /**
     * @param points beads or marks on a line
     * @param hits of them that lie over a living leaf, line by line
     */
    public record TransectEntry(int points, List<Integer> hits) {
        public TransectEntry {
            hits = List.copyOf(hits);
        }
    }

    /** A mix that is weighed against the cover's own. */
    public record AlternativeEntry(String id, String name, MixEntry mix) {}

    /**
     * Where a cover stands: after, into or before a cash crop.
     *
     * @param kind of the window, for a cover that is sown into a crop
     */
    public record PlaceEntry(String relation, String cropId, Optional<WindowKind> kind) {}

    /**
     * @param bag a ready-made mix that is sown, with the components as what tops it up
     * @param method share: of the full rates; density: seeds per area; recipe: pure live seed per area as given
     */
    public record MixEntry(
            String method,
            List<ComponentEntry> components,
            Optional<Double> wastePercent,
            Optional<ZonesEntry> zones,
            Optional<BagEntry> bag) {
        public MixEntry {
            components = List.copyOf(components);
        }

        /** The lots of the store that it names. */
        public Stream<String> lotIds() {
            return Stream.concat(
                    components.stream().flatMap(c -> c.lotId().stream()), bag.map(BagEntry::lotId).stream());
        }
    }

    /**
     * A ready-made bag in a mix.
     *
     * @param lotId the lot of the store that it is
     * @param rate of the bag as it is, drilled
     */
    public record BagEntry(String lotId, Quantity rate) {}

    /** The zones of the rows to come; what lies between them are the middles. */
    public record ZonesEntry(Quantity rowWidth, Quantity bandWidth) {}

    /**
     * @param zone whole, row or middle; whole when absent
     */
    public record ComponentEntry(
            String species,
            Optional<Double> sharePercent,
            Optional<Quantity> seeds,
            Optional<Quantity> rate,
            Optional<String> lotId,
            Optional<String> zone) {}

    /**
     * What is expected or weighed of a cover; the simulation is brought to it on its day and goes on from there.
     *
     * @param on its day; the evening before the cover ends when absent
     */
    public record StandEntry(
            Evidence evidence,
            Optional<Quantity> biomass,
            Optional<Double> nitrogenPercent,
            Optional<QuadratEntry> quadrat,
            Optional<LocalDate> on) {}

    public record QuadratEntry(Quantity frameArea, List<Quantity> samples, double dryMatterPercent) {
        public QuadratEntry {
            samples = List.copyOf(samples);
        }
    }

    /** A date as it is meant: typed, reached by degree days, counted back from another, or so far from an operation; one of the four. */
    public record DateEntry(
            Optional<LocalDate> on,
            Optional<DegreeDaysEntry> degreeDays,
            Optional<CountedBackEntry> countedBack,
            Optional<OffsetEntry> offset) {
        public static DateEntry on(LocalDate day) {
            return new DateEntry(Optional.of(day), Optional.empty(), Optional.empty(), Optional.empty());
        }

        /** So many days after another operation; before it where below 0. */
        public static DateEntry offset(String operationId, int days) {
            return new DateEntry(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(new OffsetEntry(operationId, days)));
        }
    }

    /** The day so many days after another operation of the plan; before it where below 0. */
    public record OffsetEntry(String from, int days) {}

    /**
     * The day so many degree days after the planting of the crop.
     *
     * @param sum degrees Celsius days by the crop's own base and method; the crop's to maturity when absent
     */
    public record DegreeDaysEntry(Optional<Double> sum) {}

    /**
     * The day so many days before a market date.
     *
     * @param days the crop's days to maturity when absent
     */
    public record CountedBackEntry(LocalDate from, Optional<Integer> days) {}

    /** An adviser's answer to a note; it holds as long as the note's facts are the same. */
    public record AnswerEntry(String rule, String subject, String factsHash, String decision, String reason) {}
}
