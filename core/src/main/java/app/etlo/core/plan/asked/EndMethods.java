package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.knowledge.Use;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The ways of ending a cover on its field: what each would kill, leave, need and cost, and why this field cannot use some of them. None
 * is hidden.
 */
public final class EndMethods {
    private final Evaluated e;
    private final CoverResult cover;
    private final List<TerminationMethod> planned;
    private final List<TerminationMethod> played;
    private final Optional<String> instead;

    /**
     * A way of ending.
     *
     * @param kills of what lives on the day that was looked at, with its band, %; empty for winter
     * @param cost of its passes, library money, per area
     * @param hours for the field; empty where no machine is needed
     * @param leaves what the residue is like
     * @param reasons against it here, each a sentence; none where it fits
     * @param usable whether nothing forbids it; a machine may be hired
     */
    public record MethodView(
            String id,
            String name,
            Optional<String> kills,
            String cost,
            Optional<String> hours,
            Optional<String> speed,
            String works,
            String weather,
            String leaves,
            List<String> reasons,
            boolean usable,
            boolean planned) {}

    EndMethods(Evaluated e, CoverResult cover) {
        this.e = e;
        this.cover = cover;
        this.planned = e.inTime().timeline().endings(cover.id()).stream()
                .map(Timeline.Ending::method)
                .toList();
        this.instead = planned.isEmpty()
                ? Optional.of("as no way is chosen yet")
                : planned.get(0).isWinter() ? Optional.of("as winter chooses its own day") : Optional.empty();
        this.played = instead.isPresent() ? List.of(usual()) : planned;
    }

    /** The passes with which days are compared: the plan's, or the usual way of this field. */
    List<TerminationMethod> played() {
        return played;
    }

    /** Why the days are not compared with the plan's own passes; empty where they are. */
    Optional<String> instead() {
        return instead;
    }

    /** Those whose kill depends on what lives and when. */
    List<TerminationMethod> killing() {
        return e.knowledge().terminationMethods().all().stream()
                .filter(m -> !m.isWinter() && (!m.grazes() || hasStock()))
                .toList();
    }

    private TerminationMethod usual() {
        String id = !organic() ? "burndown" : machines().contains("roller-crimper") ? "roller-crimper" : "till";
        return e.knowledge().terminationMethods().get(id);
    }

    private boolean organic() {
        return e.context()
                .field()
                .certification()
                .filter(c -> !c.equals("conventional"))
                .isPresent();
    }

    private boolean hasStock() {
        return e.context().field().livestock().filter(s -> !s.isBlank()).isPresent();
    }

    private List<String> machines() {
        return e.context().field().equipment().orElse(List.of()).stream()
                .map(FieldEntry.Machine::kind)
                .toList();
    }

    /** Why the law of the field forbids it. */
    Optional<String> refusal(TerminationMethod m) {
        return organic() && m.usesHerbicide()
                ? Optional.of(
                        "This field is " + e.context().field().certification().orElseThrow()
                                + ": no synthetic herbicide; the certifier decides.")
                : Optional.empty();
    }

    static String words(List<TerminationMethod> passes) {
        return passes.stream().map(m -> m.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", then "));
    }

    /**
     * @param on the day for which they are asked
     * @param kills of what lives on a day, %
     * @param aliveShare of the years on a day
     */
    List<MethodView> views(
            LocalDate on,
            BiFunction<LocalDate, TerminationMethod, Band> kills,
            Function<LocalDate, Double> aliveShare) {
        return e.knowledge().terminationMethods().all().stream()
                .map(m -> view(m, on, kills, aliveShare))
                .toList();
    }

    private MethodView view(
            TerminationMethod m,
            LocalDate on,
            BiFunction<LocalDate, TerminationMethod, Band> kills,
            Function<LocalDate, Double> aliveShare) {
        List<String> reasons = new ArrayList<>();
        Optional<String> law = refusal(m);
        law.ifPresent(reasons::add);
        boolean forbidden = law.isPresent();
        Optional<Band> killed = m.isWinter() ? Optional.empty() : Optional.of(kills.apply(on, m));
        if (m.isWinter()) {
            double lives = aliveShare.apply(on);
            if (lives > 0.1) {
                reasons.add("It lives on " + Shown.date(on) + " in " + Math.round(10 * lives)
                        + " years of 10: frost is no plan without a second tool and its date.");
                forbidden = lives > 0.5;
            }
        }
        if (m.grazes() && !hasStock()) {
            reasons.add("No stock has access to this field.");
        }
        List<String> missing = m.practice().machines().stream()
                .filter(k -> !machines().contains(k))
                .map(k -> k.equals("tillage") ? "tillage tool" : k)
                .toList();
        if (!missing.isEmpty() && !machines().isEmpty()) {
            reasons.add("No " + String.join(" and no ", missing)
                    + " is among this field's machines: a neighbour's or a hired one?");
        }
        Optional<CropInTime> crop = cover.next();
        Optional<LocalDate> planted = crop.flatMap(CropInTime::planted);
        boolean cropIsIn = planted.filter(p -> !on.isBefore(p)).isPresent();
        if (cropIsIn && moves(m)) {
            reasons.add(crop.orElseThrow().crop().name() + " is in by then: it would go too.");
            forbidden = true;
        } else if (m.practice().gapDays() > 0
                && planted.filter(p -> on.plusDays(m.practice().gapDays()).isAfter(p))
                        .isPresent()) {
            reasons.add(
                    "Usually " + m.practice().gapDays()
                            + " days are left before planting: fresh green matter that is mixed in draws seedcorn maggot and ties up nitrogen.");
        }
        if (!forbidden
                && killed.filter(b -> b.middle() < 100 * TerminationMethod.KILLS_WELL)
                        .isPresent()) {
            reasons.add("On " + Shown.date(on) + " it leaves about "
                    + Math.round(100 - killed.get().middle()) + " % of the tops alive.");
        }
        Unit money = e.units().shown(Unit.MONEY_PER_HA);
        return new MethodView(
                m.id(),
                m.name(),
                killed.map(b -> Shown.plain(b.middle(), 0) + " % (" + Shown.plain(b.low(), 0) + " to "
                        + Shown.plain(b.high(), 0) + ")"),
                m.practice().costPerHa().high() <= 0
                        ? "no pass"
                        : Shown.plain(
                                        Unit.MONEY_PER_HA.to(
                                                money, m.practice().costPerHa().low()),
                                        0) + " to "
                                + Shown.plain(
                                        Unit.MONEY_PER_HA.to(
                                                money, m.practice().costPerHa().high()),
                                        0) + " "
                                + money.written().replace("¤", Use.PRICE_CURRENCY) + " (" + Use.PRICE_YEAR + ")",
                m.practice().haPerHour().map(h -> Shown.plain(e.inTime().area().in(Unit.HECTARE) / h, 1) + " h"),
                m.practice()
                        .speedKmH()
                        .map(v -> Shown.text(
                                        Unit.KM_PER_H.to(e.units().shown(Unit.KM_PER_H), v),
                                        e.units().shown(Unit.KM_PER_H))
                                + " " + e.units().shown(Unit.KM_PER_H).written()),
                m.practice().works(),
                e.said(m.practice().weather()),
                m.practice().leaves(),
                reasons.stream().map(e::said).toList(),
                !forbidden,
                planned.contains(m));
    }

    private static boolean moves(TerminationMethod m) {
        return m.means().contains(TerminationMethod.Means.TILLING)
                || m.means().contains(TerminationMethod.Means.CUTTING_ROOTS)
                || m.grazes();
    }
}
