package app.etlo.core.plan.document;

import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.quantity.Quantity;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Something done on a day, to a crop, a cover or the ground.
 *
 * <p>On one day operations happen by their place in it ({@link #place}): what is harvested is gone before what grows below it is
 * ended, and seed goes in last.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Operation.Sow.class, name = "sow"),
    @JsonSubTypes.Type(value = Operation.End.class, name = "end"),
    @JsonSubTypes.Type(value = Operation.Pass.class, name = "pass"),
    @JsonSubTypes.Type(value = Operation.Feed.class, name = "feed"),
    @JsonSubTypes.Type(value = Operation.Graze.class, name = "graze"),
    @JsonSubTypes.Type(value = Operation.Irrigate.class, name = "irrigate"),
    @JsonSubTypes.Type(value = Operation.Harvest.class, name = "harvest")
})
public sealed interface Operation {
    String id();

    /** The crop or cover it is done to; a pass or a feeding may have none. */
    Optional<String> subject();

    DateEntry when();

    /** Place in the day as typed, 0 to 999; the usual one of its kind when absent. */
    Optional<Integer> seq();

    /** {@code whole}, {@code row} or {@code middle}; the whole field when absent. */
    Optional<String> zone();

    /** The same on another day. */
    default Operation on(DateEntry day) {
        return copied(id(), subject(), day);
    }

    /** The same under another id, done to something else, on another day. */
    Operation copied(String newId, Optional<String> newSubject, DateEntry day);

    <R> R as(Cases<R> cases);

    /** The word of its kind, as the document writes it. */
    default String kind() {
        return as(new Cases<>() {
            @Override
            public String sow(Sow o) {
                return "sow";
            }

            @Override
            public String end(End o) {
                return "end";
            }

            @Override
            public String pass(Pass o) {
                return "pass";
            }

            @Override
            public String feed(Feed o) {
                return "feed";
            }

            @Override
            public String graze(Graze o) {
                return "graze";
            }

            @Override
            public String irrigate(Irrigate o) {
                return "irrigate";
            }

            @Override
            public String harvest(Harvest o) {
                return "harvest";
            }
        });
    }

    /** Place in the day: as typed, else harvest 100, end 200, graze 300, pass 400, feed 500, irrigate 600, sow 700. */
    default int place() {
        return seq().orElseGet(() -> as(new Cases<>() {
            @Override
            public Integer sow(Sow o) {
                return 700;
            }

            @Override
            public Integer end(End o) {
                return 200;
            }

            @Override
            public Integer pass(Pass o) {
                return 400;
            }

            @Override
            public Integer feed(Feed o) {
                return 500;
            }

            @Override
            public Integer graze(Graze o) {
                return 300;
            }

            @Override
            public Integer irrigate(Irrigate o) {
                return 600;
            }

            @Override
            public Integer harvest(Harvest o) {
                return 100;
            }
        }));
    }

    /** One method a kind, so that none is forgotten. */
    interface Cases<R> {
        R sow(Sow o);

        R end(End o);

        R pass(Pass o);

        R feed(Feed o);

        R graze(Graze o);

        R irrigate(Irrigate o);

        R harvest(Harvest o);
    }

    /**
     * A crop planted or a cover sown.
     *
     * @param tool the field operation that does it; by the method's own, or the no-till planter, when absent
     * @param method a cover's way of being sown; drilled when absent
     * @param lateness factor on the rates of a cover sown late; 1 when absent
     * @param seedbed factor for a rough seedbed; 1 when absent
     * @param purpose factor for a dense mulch; 1 when absent
     * @param sownArea where it is not the whole field
     * @param soaked whether the seed is soaked before it is sown
     * @param inoculants what is mixed in, by group; of those not named nothing is said
     * @param sownAs parts of the field that are sown, where no area is typed
     * @param seedbedCheck what was seen of the seedbed before
     */
    record Sow(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            Optional<String> tool,
            Optional<RowsEntry> rows,
            Optional<Quantity> depth,
            Optional<Quantity> speed,
            Optional<String> method,
            Optional<Double> lateness,
            Optional<Double> seedbed,
            Optional<Double> purpose,
            Optional<Quantity> sownArea,
            Optional<Quantity> catchWidth,
            Optional<Quantity> catchDistance,
            Optional<Quantity> largeBox,
            Optional<Quantity> smallBox,
            Optional<WithSeedEntry> withSeed,
            Optional<Boolean> soaked,
            Optional<List<InoculantEntry>> inoculants,
            Optional<SownAsEntry> sownAs,
            Optional<SeedbedCheckEntry> seedbedCheck)
            implements Operation {
        /** One of which nothing is known but its day. */
        public static Sow of(String id, String subject, DateEntry when) {
            return new Sow(
                    id,
                    Optional.of(subject),
                    when,
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
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        /** The same, sown in another way. */
        public Sow by(String way) {
            return new Sow(
                    id,
                    subject,
                    when,
                    seq,
                    zone,
                    tool,
                    rows,
                    depth,
                    speed,
                    Optional.of(way),
                    lateness,
                    seedbed,
                    purpose,
                    sownArea,
                    catchWidth,
                    catchDistance,
                    largeBox,
                    smallBox,
                    withSeed,
                    soaked,
                    inoculants,
                    sownAs,
                    seedbedCheck);
        }

        @Override
        public Sow copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Sow(
                    newId,
                    newSubject,
                    day,
                    seq,
                    zone,
                    tool,
                    rows,
                    depth,
                    speed,
                    method,
                    lateness,
                    seedbed,
                    purpose,
                    sownArea,
                    catchWidth,
                    catchDistance,
                    largeBox,
                    smallBox,
                    withSeed,
                    soaked,
                    inoculants,
                    sownAs,
                    seedbedCheck);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.sow(this);
        }
    }

    /**
     * Rows of what is sown.
     *
     * @param spacing from row to row
     * @param strip width that is worked for each row
     */
    record RowsEntry(Optional<Quantity> spacing, Optional<Quantity> strip) {}

    /**
     * What goes in with the seed.
     *
     * @param nAndK2O nitrogen and potash together
     * @param openerSpread width over which an opener spreads seed and fertiliser
     */
    record WithSeedEntry(Optional<Quantity> nAndK2O, Optional<Quantity> openerSpread) {}

    /**
     * Rhizobium of one group of legumes.
     *
     * @param notNeeded whether it is left out on purpose
     * @param dose on the seed; the usual packet's when absent
     * @param price of the inoculant
     */
    record InoculantEntry(
            String group,
            Optional<Boolean> notNeeded,
            Optional<Quantity> dose,
            Optional<Quantity> price,
            Optional<LocalDate> useBy) {}

    /**
     * What of a field is sown: tree basins by radius and number, strips of a width so far apart from middle to middle, or drill rows of
     * which some are blocked. One of the three.
     */
    record SownAsEntry(
            Optional<Quantity> basinRadius,
            Optional<Integer> basins,
            Optional<Quantity> stripWidth,
            Optional<Quantity> stripEvery,
            Optional<Integer> rowsSown,
            Optional<Integer> rowsBlocked) {}

    /**
     * A seedbed looked at.
     *
     * @param heelSinks how deep a boot heel sinks
     * @param moistFrom depth from which the soil is moist
     * @param weeds seedlings counted on an area
     */
    record SeedbedCheckEntry(
            LocalDate on,
            Optional<Quantity> heelSinks,
            Optional<Boolean> level,
            Optional<Quantity> moistFrom,
            Optional<Quantity> weeds) {}

    /**
     * A cover ended, by one pass or several.
     *
     * @param passes in their order; none while the method is open
     */
    record End(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            List<EndPassEntry> passes)
            implements Operation {
        public End {
            passes = List.copyOf(passes);
        }

        /** One whose method is open. */
        public static End of(String id, String subject, DateEntry when) {
            return new End(id, Optional.of(subject), when, Optional.empty(), Optional.empty(), List.of());
        }

        /** The same, ended in one way alone. */
        public End by(String method) {
            String pass = passes.isEmpty() ? id + "-1" : passes.get(0).id();
            return new End(
                    id,
                    subject,
                    when,
                    seq,
                    zone,
                    List.of(new EndPassEntry(pass, method, Optional.empty(), Optional.empty())));
        }

        @Override
        public End copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new End(newId, newSubject, day, seq, zone, passes);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.end(this);
        }
    }

    /**
     * One way of ending a cover.
     *
     * @param afterDays days after the end's day; on it when absent
     * @param spray what is sprayed, as the adviser typed it from the label
     */
    record EndPassEntry(String id, String method, Optional<Integer> afterDays, Optional<SprayEntry> spray) {}

    /**
     * A product as it is sprayed. Every number is typed from its label; nothing is taken for it.
     *
     * @param strength active ingredient or acid equivalent in the product
     * @param rate of the product on treated ground
     * @param volume of water on treated ground
     * @param treatedPercent of the field; all of it when absent
     */
    record SprayEntry(
            Optional<String> product,
            Optional<Quantity> strength,
            Optional<Quantity> rate,
            Optional<Quantity> volume,
            Optional<Quantity> tank,
            Optional<Double> treatedPercent) {}

    /**
     * A pass over the ground that sows nothing and ends nothing by intent.
     *
     * @param tool the field operation
     * @param disturbedPercent of the ground; the tool's own when absent
     * @param system the planting system that brought it in
     */
    record Pass(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            String tool,
            Optional<Quantity> depth,
            Optional<Quantity> speed,
            Optional<Double> disturbedPercent,
            Optional<String> system)
            implements Operation {
        @Override
        public Pass copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Pass(newId, newSubject, day, seq, zone, tool, depth, speed, disturbedPercent, system);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.pass(this);
        }
    }

    /**
     * Nitrogen brought out as a product.
     *
     * @param rateOf {@code nitrogen} or {@code material}
     * @param placement broadcast, beside-row, in-furrow or injected; not said when absent
     */
    record Feed(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            MaterialEntry material,
            Quantity rate,
            String rateOf,
            Optional<String> placement)
            implements Operation {
        /** Where it is in reach of the young crop's roots. */
        public static final List<String> NEAR_THE_ROW = List.of("beside-row", "in-furrow");

        @Override
        public Feed copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Feed(newId, newSubject, day, seq, zone, material, rate, rateOf, placement);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.feed(this);
        }
    }

    /** What is brought out: a product of the library. */
    record MaterialEntry(String product) {}

    /**
     * Stock that graze together.
     *
     * @param kind a class of the library
     * @param head how many, once it is known
     * @param liveWeight of one; the usual of its class when absent
     */
    record StockEntry(@JsonProperty("class") String kind, Optional<Integer> head, Optional<Quantity> liveWeight) {}

    /**
     * Stock on a cover before it is ended.
     *
     * @param takePercent of the living tops
     * @param until last day on which they eat; the first when absent
     * @param stock that eat them, where they are known
     * @param paddocks that they go through one after the other; one when absent
     * @param residualHeight at which they are to leave
     * @param heeded cautions that were read before the day was kept
     */
    record Graze(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            double takePercent,
            Optional<LocalDate> until,
            Optional<StockEntry> stock,
            Optional<Integer> paddocks,
            Optional<Quantity> residualHeight,
            Optional<List<String>> heeded)
            implements Operation {
        /** Longest stay on one cover. */
        public static final int MOST_DAYS = 240;

        @Override
        public Graze copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Graze(
                    newId,
                    newSubject,
                    day,
                    seq,
                    zone,
                    takePercent,
                    Optional.empty(),
                    stock,
                    paddocks,
                    residualHeight,
                    heeded);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.graze(this);
        }
    }

    /**
     * Water given.
     *
     * @param depth as a depth of water
     */
    record Irrigate(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            Quantity depth)
            implements Operation {
        @Override
        public Irrigate copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Irrigate(newId, newSubject, day, seq, zone, depth);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.irrigate(this);
        }
    }

    /**
     * A crop harvested.
     *
     * @param stubble height at which the header cuts; as is usual where none is typed
     * @param strawTakenPercent of what lies behind the header
     */
    record Harvest(
            String id,
            Optional<String> subject,
            DateEntry when,
            Optional<Integer> seq,
            Optional<String> zone,
            Optional<Quantity> stubble,
            Optional<Double> strawTakenPercent)
            implements Operation {
        @Override
        public Harvest copied(String newId, Optional<String> newSubject, DateEntry day) {
            return new Harvest(newId, newSubject, day, seq, zone, stubble, strawTakenPercent);
        }

        @Override
        public <R> R as(Cases<R> cases) {
            return cases.harvest(this);
        }
    }
}
