package app.etlo.core.plan.shown;

import app.etlo.core.change.Difference;
import app.etlo.core.change.Differences;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.MemberWords;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Optional;

/**
 * Says in the trade's words what differs between two states of a plan, a field, a farm or a seed lot. A plan's crops, covers
 * and operations are named by what they are, never by their ids.
 */
public final class DifferenceWords {
    private final EntryWords entries;
    private final ValueWords values;

    /**
     * @param currency the sign or letters that stand for the farm's money
     */
    public DifferenceWords(Knowledge knowledge, String currency) {
        this.values = new ValueWords(knowledge, currency);
        this.entries = new EntryWords(knowledge);
    }

    /** One sentence a difference, as the later state names things; what is gone is named as the earlier one did. */
    public List<String> between(JsonNode before, JsonNode after) {
        return say(Differences.between(before, after), before, after);
    }

    /** One sentence for each of these differences between two states. */
    public List<String> say(List<Difference> differences, JsonNode before, JsonNode after) {
        return differences.stream().map(d -> sentence(d, before, after)).toList();
    }

    private String sentence(Difference d, JsonNode before, JsonNode after) {
        List<String> path = d.path();
        if (path.size() < 2 || !EntryWords.LISTS.contains(path.get(0))) {
            return change(MemberWords.of(path), d);
        }
        JsonNode named = d.after().isPresent() || path.size() > 2 ? after : before;
        String list = path.get(0);
        String id = path.get(1);
        if (list.equals("answers")) {
            return d.after()
                    .map(a -> "answered a note: " + a.path("decision").asText())
                    .orElse("an answer to a note was taken back");
        }
        String who = entries.name(named, list, id);
        if (path.size() == 2) {
            return d.before().isPresent() && d.after().isPresent()
                    ? change(who, d)
                    : list.equals("operations")
                            ? operation(who, d)
                            : (d.after().isPresent() ? "added " : "removed ") + who;
        }
        List<String> rest = path.subList(2, path.size());
        if (list.equals("operations") && rest.get(0).equals("when")) {
            return who + ": " + values.arrow(Optional.of(value(d.before())), Optional.of(value(d.after())));
        }
        if (rest.get(0).equals("mix") && rest.size() > 2 && rest.get(1).equals("components")) {
            return component(who, rest, d);
        }
        return change(who + ": " + MemberWords.of(rest), d);
    }

    private String operation(String who, Difference d) {
        JsonNode entry = d.after().or(d::before).orElseThrow();
        String on = when(entry.path("when"));
        return d.after().isPresent() ? who + " on " + on : who + " on " + on + " was removed";
    }

    private String component(String cover, List<String> rest, Difference d) {
        String species = values.named(rest.get(2));
        if (rest.size() == 3) {
            JsonNode entry = d.after().or(d::before).orElseThrow();
            String share = entry.has("sharePercent") ? ", " + values.of(entry.get("sharePercent")) + " %" : "";
            return cover + ": " + (d.after().isPresent() ? "added " : "removed ") + species + share;
        }
        return change(cover + ": " + species + ", " + MemberWords.of(rest.subList(3, rest.size())), d);
    }

    private String change(String what, Difference d) {
        String percent =
                d.path().isEmpty() ? "" : d.path().get(d.path().size() - 1).endsWith("Percent") ? " %" : "";
        return what + ": "
                + values.arrow(
                        d.before().map(v -> values.of(v) + percent), d.after().map(v -> values.of(v) + percent));
    }

    private String value(Optional<JsonNode> when) {
        return when.map(w -> w.isObject() ? when(w) : values.of(w)).orElse("none");
    }

    /** A date as it is meant. */
    private String when(JsonNode date) {
        if (date.has("degreeDays")) {
            JsonNode sum = date.at("/degreeDays/sum");
            return sum.isNumber() ? values.of(sum) + " °C d after planting" : "its degree days after planting";
        }
        if (date.has("countedBack")) {
            JsonNode days = date.at("/countedBack/days");
            String back = days.isNumber() ? values.of(days) + " days" : "its days to maturity";
            return back + " before " + values.of(date.at("/countedBack/from"));
        }
        if (date.has("offset")) {
            int days = date.at("/offset/days").asInt();
            return Math.abs(days) + (Math.abs(days) == 1 ? " day " : " days ") + (days < 0 ? "before" : "after")
                    + " the operation it follows";
        }
        return values.of(date.path("on"));
    }
}
