package app.etlo.core.plan.document;

import app.etlo.core.plan.document.PlanDocument.AnswerEntry;
import app.etlo.core.plan.document.PlanDocument.CountedBackEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.PlanDocument.OffsetEntry;
import app.etlo.core.plan.document.PlanDocument.PlaceEntry;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Changes of a whole plan: dates moved, a crop exchanged, a rotation repeated or taken to another field. */
public final class PlanEdit {
    private PlanEdit() {}

    public static PlanDocument with(
            PlanDocument p, List<CropEntry> crops, List<CoverEntry> covers, List<Operation> operations) {
        return new PlanDocument(
                p.schemaVersion(), p.id(), p.fieldId(), p.name(), crops, covers, operations, p.answers());
    }

    /** The plan with the operation of a kind on a subject dated; added when there is none. */
    public static PlanDocument dated(PlanDocument p, String kind, String subject, LocalDate day) {
        List<Operation> operations = new ArrayList<>();
        boolean there = false;
        for (Operation o : p.operations()) {
            boolean it = o.kind().equals(kind) && o.subject().equals(Optional.of(subject));
            there |= it;
            operations.add(it ? o.on(DateEntry.on(day)) : o);
        }
        if (!there) {
            operations.add(plain(fresh(p, "o"), kind, subject, day));
        }
        return with(p, p.crops(), p.covers(), operations);
    }

    /** The plan with a cover ended in another way, where it is ended at all. */
    public static PlanDocument endedBy(PlanDocument p, String coverId, String method) {
        List<Operation> operations = p.operations().stream()
                .map(o -> o instanceof Operation.End e && e.subject().equals(Optional.of(coverId)) ? e.by(method) : o)
                .toList();
        return with(p, p.crops(), p.covers(), operations);
    }

    /** The plan without what was seen and answered in its own season: stands, field checks, answers to notes. */
    public static PlanDocument unseen(PlanDocument p) {
        List<CoverEntry> covers =
                p.covers().stream().map(c -> c.unseen(c.alternatives())).toList();
        return new PlanDocument(
                p.schemaVersion(), p.id(), p.fieldId(), p.name(), p.crops(), covers, p.operations(), List.of());
    }

    /** A sowing, an end or a harvest of which nothing is known but the day. */
    public static Operation plain(String id, String kind, String subject, LocalDate day) {
        return switch (kind) {
            case "sow" -> Operation.Sow.of(id, subject, DateEntry.on(day));
            case "end" -> Operation.End.of(id, subject, DateEntry.on(day));
            case "harvest" ->
                new Operation.Harvest(
                        id,
                        Optional.of(subject),
                        DateEntry.on(day),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty());
            default -> throw new IllegalArgumentException("a " + kind + " needs more than a day");
        };
    }

    /** The plan with a crop exchanged for another of the library. */
    public static PlanDocument exchanged(PlanDocument p, String cropId, String crop) {
        List<CropEntry> crops = p.crops().stream()
                .map(c -> c.id().equals(cropId)
                        ? new CropEntry(
                                c.id(), crop, Optional.empty(), c.turnaroundDays(), Optional.empty(), c.forSeed())
                        : c)
                .toList();
        return with(p, crops, p.covers(), p.operations());
    }

    /** The plan with one cover changed. */
    public static PlanDocument cover(PlanDocument p, String coverId, UnaryOperator<CoverEntry> change) {
        List<CoverEntry> covers = p.covers().stream()
                .map(c -> c.id().equals(coverId) ? change.apply(c) : c)
                .toList();
        return with(p, p.crops(), covers, p.operations());
    }

    /** An id that no entry of the plan has. */
    static String fresh(PlanDocument p, String letter) {
        Set<String> taken = Stream.of(
                        p.crops().stream().map(CropEntry::id),
                        p.covers().stream().map(CoverEntry::id),
                        p.operations().stream().map(Operation::id))
                .flatMap(s -> s)
                .collect(Collectors.toSet());
        for (int n = 1; ; n++) {
            String id = letter + n;
            if (!taken.contains(id)) {
                return id;
            }
        }
    }

    /**
     * The rotation once more behind itself, moved by whole years. What belongs to one year alone is left behind: seed lots,
     * stands weighed, answers to notes.
     *
     * @param years by how many it is moved
     */
    public static PlanDocument repeated(PlanDocument p, int years) {
        List<CropEntry> crops = new ArrayList<>(p.crops());
        List<CoverEntry> covers = new ArrayList<>(p.covers());
        List<Operation> operations = new ArrayList<>(p.operations());
        String mark = "-" + (p.crops().size() + p.operations().size());
        p.crops()
                .forEach(c -> crops.add(new CropEntry(
                        c.id() + mark, c.crop(), c.yieldGoal(), c.turnaroundDays(), c.nitrogen(), c.forSeed())));
        p.covers()
                .forEach(c -> covers.add(c.copied(
                        c.id() + mark,
                        new PlaceEntry(
                                c.place().relation(),
                                c.place().cropId() + mark,
                                c.place().kind()),
                        c.mix().map(PlanEdit::withoutLots))));
        p.operations()
                .forEach(o -> operations.add(
                        o.copied(o.id() + mark, o.subject().map(s -> s + mark), later(o.when(), years, mark))));
        return with(p, crops, covers, operations);
    }

    /** The plan for another field, under an id of its own; what belongs to the first field alone is left behind. */
    public static PlanDocument forField(PlanDocument p, String planId, String fieldId) {
        List<CoverEntry> covers = p.covers().stream()
                .map(c -> c.copied(c.id(), c.place(), c.mix().map(PlanEdit::withoutLots)))
                .toList();
        return new PlanDocument(
                p.schemaVersion(),
                planId,
                fieldId,
                p.name(),
                p.crops(),
                covers,
                p.operations(),
                List.<AnswerEntry>of());
    }

    private static MixEntry withoutLots(MixEntry mix) {
        return new MixEntry(
                mix.method(),
                mix.components().stream()
                        .map(c -> new PlanDocument.ComponentEntry(
                                c.species(), c.sharePercent(), c.seeds(), c.rate(), Optional.empty(), c.zone()))
                        .toList(),
                mix.wastePercent(),
                mix.zones(),
                Optional.empty());
    }

    private static DateEntry later(DateEntry when, int years, String mark) {
        return new DateEntry(
                when.on().map(d -> d.plusYears(years)),
                when.degreeDays(),
                when.countedBack().map(c -> new CountedBackEntry(c.from().plusYears(years), c.days())),
                when.offset().map(x -> new OffsetEntry(x.from() + mark, x.days())));
    }
}
