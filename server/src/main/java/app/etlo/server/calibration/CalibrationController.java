package app.etlo.server.calibration;

import app.etlo.core.mix.Calibration;
import app.etlo.core.mix.Calibration.Caught;
import app.etlo.core.mix.Calibration.Kind;
import app.etlo.core.mix.Calibration.Measure;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Problem;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.working.Input;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.documents.DocumentText;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Catch tests in the yard. */
@RestController
@Transactional
class CalibrationController {
    private static final int MOST_LETTERS = 80;

    private final CatchRepository catches;
    private final DocumentText text;
    private final Clock clock;
    private final Accounts accounts;

    CalibrationController(CatchRepository catches, DocumentText text, Clock clock, Accounts accounts) {
        this.accounts = accounts;
        this.catches = catches;
        this.text = text;
        this.clock = clock;
    }

    /**
     * @param unit absent for a plain number
     */
    record Measured(double value, Optional<Unit> unit) {}

    /**
     * A test as typed.
     *
     * @param material the seed or product in the machine
     * @param setting of the machine
     * @param card of a plan, where it was done for one
     */
    record CatchTest(
            String kind,
            String machine,
            String material,
            Optional<Double> setting,
            Optional<Quantity> target,
            Map<String, Measured> measured,
            Optional<@Valid Card> card) {}

    /** The box of a cover that it was done for. */
    record Card(
            @Size(max = 80) String planId,
            @Size(max = 80) String coverId,
            @Size(max = 20) String box) {}

    /**
     * @param factors from each unit to the one of the expression
     */
    record MeasureView(
            String symbol, String name, Optional<Unit> unit, List<Unit> units, Map<String, Double> factors) {}

    /**
     * A way of testing; with its expression a phone without a connection still says what a machine delivers.
     *
     * @param factors from each unit of what it delivers to its own
     */
    record KindView(
            String id,
            String name,
            Unit delivers,
            List<Unit> units,
            List<MeasureView> measures,
            String expression,
            Map<String, Double> factors) {}

    /**
     * @param delivered written in the person's units
     */
    record CatchView(String id, CatchTest test, String delivered, String unit, String by, Instant at) {}

    record CalibrationView(List<KindView> kinds, List<CatchView> catches) {}

    record StepView(String name, String text, String unit) {}

    /**
     * @param delivered in the target's unit, or the kind's own
     * @param change by how much more (or less) it must deliver, %
     * @param say what to do, in a sentence
     */
    record CatchResult(
            double delivered,
            String text,
            String unit,
            Optional<Double> change,
            Optional<Double> nextSetting,
            String say,
            String expression,
            List<StepView> inputs,
            String source) {}

    /** The ways of testing, and every catch of the practice, the newest first. */
    @Access(Who.MEMBER)
    @GetMapping("/api/calibrations")
    @Transactional(readOnly = true)
    public CalibrationView all(@AuthenticationPrincipal Adviser adviser) {
        List<CatchView> kept = new ArrayList<>();
        UnitSystem units = accounts.units(adviser);
        catches.findAllByOrderById().forEach(r -> kept.add(0, view(r, units)));
        return new CalibrationView(
                Arrays.stream(Kind.values()).map(CalibrationController::view).toList(), kept);
    }

    private CatchView view(CatchRow r, UnitSystem units) {
        JsonKept k = text.read(r.document(), JsonKept.class);
        Unit own = Kind.of(k.test().kind()).orElseThrow().delivers();
        Unit shown = units.shown(own);
        return new CatchView(
                k.id(),
                k.test(),
                Shown.text(own.to(shown, k.delivered()), shown),
                shown.written(),
                r.author(),
                r.caughtAt());
    }

    private record JsonKept(String id, CatchTest test, double delivered) {}

    private static KindView view(Kind k) {
        return new KindView(
                k.id(),
                k.words(),
                k.delivers(),
                units(k.delivers()),
                k.measures().stream()
                        .map(m -> new MeasureView(
                                m.symbol(),
                                m.name(),
                                unit(m),
                                unit(m).isEmpty() ? List.of() : units(m.unit()),
                                unit(m).isEmpty() ? Map.of() : factors(m.unit())))
                        .toList(),
                k.expression(),
                factors(k.delivers()));
    }

    private static Map<String, Double> factors(Unit to) {
        return units(to).stream().collect(Collectors.toMap(Unit::symbol, u -> u.to(to, 1)));
    }

    private static Optional<Unit> unit(Measure m) {
        return Optional.of(m.unit()).filter(u -> u.dimension() != Dimension.COUNT);
    }

    private static List<Unit> units(Unit like) {
        return Arrays.stream(Unit.values())
                .filter(u -> u.dimension() == like.dimension())
                .toList();
    }

    /** Works a test out; nothing is kept. */
    @Access(Who.MEMBER)
    @PostMapping("/api/calibrations/results")
    @Transactional(readOnly = true)
    public CatchResult result(@RequestBody CatchTest test) {
        return result(test, past(test));
    }

    /** Works a test out and remembers it under an id of the client's making; sent again it is one catch. */
    @Access(Who.MEMBER)
    @PutMapping("/api/calibrations/{catchId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void remember(
            @PathVariable String catchId, @RequestBody CatchTest test, @AuthenticationPrincipal Adviser adviser) {
        if (!catchId.matches("[A-Za-z0-9-]{1,64}")) {
            throw new Refused("/catchId", "1 to 64 letters, digits and hyphens");
        }
        CatchResult r = result(test, List.of());
        if (catches.findByRef(catchId).isEmpty()) {
            Kind kind = Kind.of(test.kind()).orElseThrow();
            double own = new Quantity(r.delivered(), Unit.of(r.unit())).in(kind.delivers());
            catches.save(new CatchRow(
                    catchId,
                    test.machine().strip(),
                    test.material().strip(),
                    test.kind(),
                    Json.write(new JsonKept(catchId, test, own)),
                    adviser.email(),
                    clock.instant()));
        }
    }

    private List<Caught> past(CatchTest test) {
        return catches.findAllByOrderById().stream()
                .map(r -> text.read(r.document(), JsonKept.class))
                .filter(k -> k.test().kind().equals(test.kind())
                        && same(k.test().machine(), test.machine())
                        && same(k.test().material(), test.material()))
                .flatMap(k -> k.test().setting().map(s -> new Caught(s, k.delivered())).stream())
                .toList();
    }

    private static boolean same(String a, String b) {
        return b != null && a.strip().equalsIgnoreCase(b.strip());
    }

    private static CatchResult result(CatchTest test, List<Caught> past) {
        Kind kind = check(test);
        Map<String, Quantity> measured = new LinkedHashMap<>();
        kind.measures()
                .forEach(m -> measured.put(m.symbol(), quantity(test.measured().get(m.symbol()), m)));
        Calibration.Result r = Calibration.of(kind, measured, test.setting(), test.target(), past);
        Unit shown = test.target().map(Quantity::unit).orElse(kind.delivers());
        return new CatchResult(
                r.delivered().in(shown),
                Shown.text(r.delivered().in(shown), shown),
                shown.written(),
                r.changePercent(),
                r.nextSetting(),
                say(kind, r, measured),
                r.delivered().working().expression(),
                r.delivered().working().inputs().stream()
                        .map(CalibrationController::step)
                        .toList(),
                r.delivered().working().source().text());
    }

    private static StepView step(Input i) {
        return new StepView(
                i.symbol() + ", " + i.label(),
                Shown.text(i.value().middle(), i.unit()),
                i.unit().written());
    }

    private static String say(Kind kind, Calibration.Result r, Map<String, Quantity> measured) {
        if (r.changePercent().isEmpty()) {
            return "Type what it should deliver to see by how much to open or close.";
        }
        double c = r.changePercent().get();
        Measure first = kind.measures().get(0);
        Unit typed = measured.get(first.symbol()).unit();
        double catchWanted = unit(first)
                .map(u -> u.to(typed, r.wantedCatch().orElseThrow()))
                .orElseGet(() -> r.wantedCatch().orElseThrow());
        String wanted = " Wanted: " + Shown.significant(catchWanted) + " "
                + unit(first).map(u -> typed.written()).orElse(first.name().toLowerCase(java.util.Locale.ROOT))
                + " in this test.";
        String next = r.nextSetting()
                .map(s -> " Try setting " + Math.round(s * 10) / 10.0 + " and catch again.")
                .orElse("");
        if (Math.abs(c) < 2) {
            return "Within 2 % of what is wanted: leave it.";
        }
        return (c > 0 ? "Open: " : "Close: ") + Math.round(Math.abs(c)) + " % " + (c > 0 ? "more" : "less")
                + " is wanted." + next + wanted;
    }

    private static Quantity quantity(Measured m, Measure of) {
        return new Quantity(m.value(), m.unit().orElse(of.unit()));
    }

    private static Kind check(CatchTest test) {
        List<Problem> problems = new ArrayList<>();
        Optional<Kind> kind = Optional.ofNullable(test.kind()).flatMap(Kind::of);
        if (kind.isEmpty()) {
            throw new Refused("/kind", "there is no such test");
        }
        named(test.machine(), "/machine", problems);
        named(test.material(), "/material", problems);
        for (Measure m : kind.get().measures()) {
            Measured typed = Optional.ofNullable(test.measured())
                    .map(t -> t.get(m.symbol()))
                    .orElse(null);
            String at = "/measured/" + m.symbol();
            if (typed == null) {
                problems.add(new Problem(at, m.name().toLowerCase(java.util.Locale.ROOT) + " is missing"));
            } else if (typed.unit().isPresent()
                    && typed.unit().get().dimension() != m.unit().dimension()) {
                problems.add(new Problem(at, "in " + m.unit().written() + " or a unit like it"));
            } else {
                double v =
                        unit(m).isEmpty() ? typed.value() : quantity(typed, m).in(m.unit());
                if (!(v >= m.low() && v <= m.high())) {
                    problems.add(new Problem(
                            at,
                            "from " + Shown.significant(m.low()) + " to " + Shown.significant(m.high()) + " "
                                    + m.unit().written() + "; is the unit right?"));
                }
            }
        }
        test.target()
                .filter(q -> q.unit().dimension() != kind.get().delivers().dimension() || !(q.value() > 0))
                .ifPresent(q -> problems.add(new Problem(
                        "/target", "above zero, in " + kind.get().delivers().written() + " or a unit like it")));
        test.setting()
                .filter(s -> !(s >= 0 && s <= 100_000))
                .ifPresent(s -> problems.add(new Problem("/setting", "not below zero")));
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return kind.get();
    }

    private static void named(String name, String at, List<Problem> problems) {
        if (name == null || name.isBlank() || name.length() > MOST_LETTERS) {
            problems.add(new Problem(at, "a name of 1 to " + MOST_LETTERS + " characters"));
        }
    }
}
