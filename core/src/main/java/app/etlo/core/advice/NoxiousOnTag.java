package app.etlo.core.advice;

import app.etlo.core.mix.NoxiousList;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.working.Source;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** Listed or resistant weed seed on a tag. */
final class NoxiousOnTag extends Judgement {
    NoxiousOnTag() {
        super(
                "noxious-on-tag",
                Weight.STOP,
                Step.MIX,
                "a lot names listed or herbicide-resistant weeds",
                Source.commonPractice("noxious-weed and seed laws differ by region: the local list rules"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .flatMap(x -> x.lot().stream()
                                .filter(l -> l.tag().noxious().isPresent())
                                .map(l -> note(
                                        c.id() + "/" + x.species().id(),
                                        c.sown(),
                                        "Lot " + l.label() + " names "
                                                + l.tag().noxious().orElseThrow() + " on its tag" + against(s, l),
                                        List.of("weeds on the tag: "
                                                + l.tag().noxious().orElseThrow()),
                                        "another lot"))));
    }

    /** What the list entered for the field says of a tag. */
    private static String against(Situation s, SeedLot lot) {
        List<String> list = s.field().noxious();
        if (list.isEmpty()) {
            return ". Do not sow it before the local list is read; none is entered for this field.";
        }
        List<String> listed = Arrays.stream(lot.tag().noxious().orElseThrow().split("[;,]"))
                .map(String::strip)
                .filter(w -> NoxiousList.names(list, w))
                .toList();
        return listed.isEmpty()
                ? ". None of it is on the list entered for this field: see that the list is the one in force."
                : ": " + String.join(" and ", listed)
                        + (listed.size() > 1 ? " are" : " is")
                        + " on the list entered for this field. Do not sow this lot.";
    }
}
