package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a boundary file may hold (RFC 7946), and what is refused at its place. */
class BoundaryReaderTest {
    private static final String SQUARE = "[[0,0],[0.01,0],[0.01,0.01],[0,0.01],[0,0]]";

    private static JsonNode json(String text) {
        try {
            return new ObjectMapper().readTree(text);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static BoundaryRefused refused(String text) {
        return catchThrowableOfType(BoundaryRefused.class, () -> BoundaryReader.read(json(text)));
    }

    @Test
    void takes_features_collections_and_several_polygons() {
        String polygon = "{\"type\":\"Polygon\",\"coordinates\":[" + SQUARE + "]}";
        String feature = "{\"type\":\"Feature\",\"properties\":{\"name\":\"x\"},\"geometry\":" + polygon + "}";
        String point =
                "{\"type\":\"Feature\",\"properties\":null,\"geometry\":{\"type\":\"Point\",\"coordinates\":[0,0]}}";
        String none = "{\"type\":\"Feature\",\"properties\":null,\"geometry\":null}";
        String collection =
                "{\"type\":\"FeatureCollection\",\"features\":[" + feature + "," + point + "," + none + "]}";
        assertThat(BoundaryReader.read(json(collection)).parts()).hasSize(1);
        String multi = "{\"type\":\"MultiPolygon\",\"coordinates\":[[" + SQUARE
                + "],[[[0.02,0],[0.03,0],[0.03,0.01],[0.02,0]]]]}";
        assertThat(BoundaryReader.read(json(multi)).parts()).hasSize(2);
        String geometries = "{\"type\":\"GeometryCollection\",\"geometries\":[" + polygon + "]}";
        assertThat(BoundaryReader.read(json(geometries)).parts()).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    []                                                                            |                  | expected a GeoJSON object
                    {"type":"Circle"}                                                             | /type            | not a GeoJSON type
                    {"type":"Point","coordinates":[1,2]}                                          |                  | no Polygon or MultiPolygon
                    {"type":"Polygon"}                                                            | /coordinates     | a list of rings
                    {"type":"Polygon","coordinates":[]}                                           | /coordinates     | needs an outer ring
                    {"type":"Polygon","coordinates":[[[0,0],[1,0],[0,0]]]}                        | /coordinates/0   | at least four positions
                    {"type":"Polygon","coordinates":[[[0,0],[0.1,0],[0.1,0.1],[0,0.1]]]}          | /coordinates/0   | not closed
                    {"type":"Polygon","coordinates":[[[0,0],["a",0],[1,1],[0,0]]]}                | /coordinates/0/1 | longitude, latitude
                    {"type":"Polygon","coordinates":[[[0,0],[4500000,0],[1,1],[0,0]]]}            | /coordinates/0/1 | export the outline again
                    {"type":"Polygon","coordinates":[[[0,0],[0,95],[1,1],[0,0]]]}                 | /coordinates/0/1 | not degrees
                    {"type":"Polygon","coordinates":[[[0,0],[0.1,0.1],[0.1,0],[0,0.1],[0,0]]]}    |                  | not sound
                    {"type":"Polygon","coordinates":[[[0,0],[30,0],[30,1],[0,0]]]}                |                  | ten degrees
                    {"type":"FeatureCollection","features":{}}                                    | /features        | expected a list
                    {"type":"FeatureCollection","features":[{"type":"Feature","geometry":7}]}     | /features/0/geometry | GeoJSON object
                    """)
    void refuses_at_the_place(String text, String pointer, String message) {
        BoundaryRefused e = refused(text);
        assertThat(e).as(text).isNotNull();
        assertThat(e.pointer()).isEqualTo(pointer == null ? "" : pointer);
        assertThat(e).hasMessageContaining(message);
    }

    @Test
    void a_hole_outside_its_part_is_refused() {
        String hole = "[[0.5,0.5],[0.6,0.5],[0.6,0.6],[0.5,0.5]]";
        assertThat(refused("{\"type\":\"Polygon\",\"coordinates\":[" + SQUARE + "," + hole + "]}"))
                .hasMessageContaining("not sound");
    }

    @Test
    void a_survey_of_many_thousand_positions_is_refused_before_it_is_computed() {
        StringBuilder ring = new StringBuilder("[");
        for (int i = 0; i <= BoundaryReader.MOST_POSITIONS; i++) {
            ring.append("[0,").append(i / 1e6).append("],");
        }
        ring.append("[0,0]]");
        assertThat(refused("{\"type\":\"Polygon\",\"coordinates\":[" + ring + "]}"))
                .hasMessageContaining("simplify the outline");
    }

    @Test
    void collections_nested_without_end_are_refused() {
        String inside = "{\"type\":\"Polygon\",\"coordinates\":[" + SQUARE + "]}";
        for (int i = 0; i < 30; i++) {
            inside = "{\"type\":\"GeometryCollection\",\"geometries\":[" + inside + "]}";
        }
        assertThat(refused(inside)).hasMessageContaining("nested too deeply");
    }
}
