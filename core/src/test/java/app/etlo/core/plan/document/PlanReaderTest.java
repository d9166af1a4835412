package app.etlo.core.plan.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.etlo.core.plan.Plans;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Bad plans are refused at the place where they are bad, with what would be right. */
class PlanReaderTest {
    private static Refused refused(String piece, String bad) {
        assertThat(Plans.text()).contains(piece);
        return catchThrowableOfType(Refused.class, () -> Plans.read(Plans.text().replace(piece, bad)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    "cereal-rye", "sharePercent": 40             | "cereal-ry", "sharePercent": 40               | /plan/covers/0/mix/components/0/species     | library has no species
                    "sharePercent": 40                           | "sharePercent": -40                           | /plan/covers/0/mix/components/0/sharePercent | minimum
                    "sharePercent": 40                           | "sharePercent": "40"                          | /plan/covers/0/mix/components/0/sharePercent | number
                    "sharePercent": 40                           | "sharePercent": 4000                          | /plan/covers/0/mix/components/0/sharePercent | maximum
                    "species": "hairy-vetch"                     | "species": "cereal-rye"                       | /plan/covers/0/mix/components/1/species     | stands twice
                    "value": 6.5, "unit": "t/ha"                 | "value": 6.5, "unit": "cm"                    | /plan/crops/0/yieldGoal/unit                | use one of
                    "value": 6.5, "unit": "t/ha"                 | "value": 6.5, "unit": "stone"                 | /plan/crops/0/yieldGoal                     | unit
                    "value": 6.5, "unit": "t/ha"                 | "value": 6.5                                  | /plan/crops/0/yieldGoal                     | required
                    "value": 6.5, "unit": "t/ha"                 | "value": 1e300, "unit": "t/ha"                | /plan/crops/0/yieldGoal/value               | maximum
                    "crop": "winter-barley"                      | "crop": "winter-barly"                        | /plan/crops/0/crop                          | library has no crop
                    "id": "c2", "crop"                           | "id": "c1", "crop"                            | /plan/crops/1/id                            | is taken
                    "cropId": "c2"                               | "cropId": "c9"                                | /plan/covers/0/place/cropId                 | no crop 'c9'
                    "aims": ["fix-nitrogen", "mulch"]            | "aims": ["fix-nitrogen", "beauty"]            | /plan/covers/0/aims/1                       | library has no aim
                    "kind": "harvest", "subject": "c1"           | "kind": "harvest", "subject": "c7"            | /plan/operations/1/subject                  | no crop or cover
                    "kind": "harvest", "subject": "c1"           | "kind": "harvest"                             | /plan/operations/1                          | subject
                    "kind": "harvest", "subject": "c2"           | "kind": "harvest", "subject": "c1"            | /plan/operations/5/subject                  | already has a harvest
                    "2026-07-10"                                 | "10.7.2026"                                   | /plan/operations/1/when/on                  | pattern
                    "2026-07-10"                                 | "2026-02-30"                                  | /plan/operations/1/when/on                  | is not a date
                    "2026-07-10"                                 | "1826-07-10"                                  | /plan/operations/1/when/on                  | pattern
                    "method": "drilled"                          | "method": "thrown"                            | /plan/operations/2/method                   | library has no method
                    "stripWidth": {"value": 10, "unit": "in"}    | "stripWidth": {"value": 40, "unit": "in"}     | /plan/operations/4/rows/strip/value         | no wider than its row
                    "rowWidth": {"value": 30, "unit": "in"}      | "rowWidth": {"value": 0, "unit": "in"}        | /plan/operations/4/rows/spacing/value       | above zero
                    "product": "uan28"                           | "product": "magic"                            | /plan/crops/1/nitrogen/product              | library has no product
                    "nitrogenPercent": 2.5                       | "nitrogenPercent": 250                        | /plan/covers/0/stand/nitrogenPercent        | maximum
                    "schemaVersion": 1                           | "schemaVersion": 3                            | /plan/schemaVersion                         | 2
                    "answers": []                                | "answers": [], "colour": "red"                | /plan                                       | colour
                    "format": "etlo-dossier"                     | "format": "something"                         | /format                                     | not an Etlo plan file
                    "version": 1                                 | "version": 9                                  | /version                                    | reads version 1
                    "fieldId": "f1"                              | "fieldId": "f2"                               | /plan/fieldId                               | another field
                    "farmId": "farm1"                            | "farmId": "farm2"                             | /context/field/farmId                       | another farm
                    "purityPercent": 98                          | "purityPercent": 0                            | /context/lots/0/purityPercent               | read the tag again
                    "purityPercent": 98                          | "purityPercent": 198                          | /context/lots/0/purityPercent               | 100
                    "germinationPercent": 80                     | "germinationPercent": 95                      | /context/lots/1/hardSeedPercent             | over 100 %
                    "currency": "EUR"                            | "currency": "Euro"                            | /context/farm/currency                      | three letters
                    "lastSpringFrost": "04-25"                   | "lastSpringFrost": "25-04"                    | /context/field/lastSpringFrost              | MM-dd
                    "texture": "silt loam"                       | "texture": "mud"                              | /context/field/texture                      | one of
                    "area": {"value": 12, "unit": "ha"},         |                                               | /context/field/area                         | boundary file or an area
                    """)
    void refuses_at_the_place(String piece, String bad, String pointer, String message) {
        Refused e = refused(piece, bad == null ? "" : bad);
        assertThat(e).as(bad).isNotNull();
        assertThat(e.problems()).as(e.problems().toString()).anySatisfy(p -> {
            assertThat(p.pointer()).startsWith(pointer);
            assertThat(p.message()).containsIgnoringCase(message);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "null",
                "[]",
                "7",
                "\"plan\"",
                "{",
                "{\"format\":\"etlo-dossier\",\"version\":1}",
                "{\"format\":\"etlo-dossier\",\"version\":1,\"plan\":[],\"context\":{}}",
                "{\"format\":\"etlo-dossier\",\"version\":1,\"plan\":{},\"context\":null}",
            })
    void what_is_no_dossier_is_refused_and_nothing_else_happens(String text) {
        assertThat(catchThrowableOfType(Refused.class, () -> Plans.read(text)))
                .as(text)
                .isNotNull();
    }

    @Test
    void unreadable_json_is_told_by_line_and_column() {
        assertThat(refused("\"answers\": []", "\"answers\": [")
                        .problems()
                        .get(0)
                        .message())
                .contains("not readable JSON at line");
    }

    @Test
    void a_number_that_is_none_is_refused() {
        assertThat(refused("\"value\": 12,", "\"value\": NaN,")
                        .problems()
                        .get(0)
                        .message())
                .contains("not readable JSON");
    }

    @Test
    void json_nested_without_end_is_refused() {
        String deep = "[".repeat(5000) + "]".repeat(5000);
        assertThat(refused("\"answers\": []", "\"answers\": " + deep)).isNotNull();
    }

    @Test
    void several_problems_are_told_at_once() {
        Refused e = catchThrowableOfType(
                Refused.class,
                () -> Plans.read(Plans.text()
                        .replace("\"sharePercent\": 40", "\"sharePercent\": -1")
                        .replace("\"nitrogenPercent\": 2.5", "\"nitrogenPercent\": -2")));
        assertThat(e.problems()).hasSizeGreaterThanOrEqualTo(2);
    }

    @Test
    void a_lot_that_is_not_there_is_simply_no_lot() {
        // a lot may be used up and removed of the store; the plan stays readable and falls back to usual values
        var e = Plans.with("\"lotId\": \"l1\"", "\"lotId\": \"gone\"");
        assertThat(e.figures().get("mix/v1/cereal-rye/pls").origin().id()).isEqualTo("default");
    }

    @Test
    void the_published_schema_names_every_member_of_the_document() {
        String schema = PlanReader.schemaText();
        for (Class<?> type : PlanDocument.class.getDeclaredClasses()) {
            if (type.isRecord()) {
                for (var c : type.getRecordComponents()) {
                    assertThat(schema).as(type.getSimpleName()).contains("\"" + c.getName() + "\"");
                }
            }
        }
    }
}
