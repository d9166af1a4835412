package app.etlo.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The drawing that the screen sends comes through as drawing only, and no more of it than can be drawn. */
class SectionDrawingTest {
    /** One that takes longer hangs: what is within bounds is drawn in a second or so. */
    private static final Duration HANGS = Duration.ofSeconds(60);

    private static final String TILE = "<pattern id=\"p\" width=\"3.2\" height=\"3.2\" patternUnits=\"userSpaceOnUse\">"
            + "<path d=\"M1.1 0V3.2\" stroke=\"#0a0\" stroke-width=\"0.95\" fill=\"none\"></path></pattern>";

    private static String svg(String inside) {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 1000 386\">" + inside + "</svg>";
    }

    private static String read(String svg) {
        try {
            return SectionDrawing.read(svg).svg();
        } catch (DrawingBounds.Exceeded e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void drawing_comes_through() {
        String out =
                read(svg("<defs>" + TILE + "</defs><g transform=\"translate(3 4) scale(0.85)\"><path d=\"M0 0L1 1.256\""
                        + " fill=\"url(#p)\" stroke=\"#0f1e26\" stroke-dasharray=\"2 1.4\"/><text x=\"1\" font-size=\"11\">Sow &amp; go"
                        + "</text></g>"));
        assertThat(out)
                .contains("M0 0 L1 1.26")
                .contains("url(#p)")
                .contains("Sow &amp; go")
                .contains("translate(3 4)scale(0.85)")
                .contains("stroke-dasharray=\"2 1.40\"");
    }

    @Test
    void a_title_and_what_is_for_the_screen_only_is_left_out() {
        assertThat(read(svg("<path d=\"M0 0H9\" data-stand=\"x\" class=\"y\"><title>secret</title></path>")))
                .contains("M0 0 H9")
                .doesNotContain("secret")
                .doesNotContain("data-stand")
                .doesNotContain("class");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<foreignObject><b>x</b></foreignObject>",
                "<image href=\"file:///etc/passwd\"/>",
                "<use href=\"http://example.org/x.svg#y\"/>",
                "<g onload=\"alert(1)\"/>",
                "<path d=\"M0 0H1\" style=\"fill:url(http://example.org)\"/>",
                "<a href=\"javascript:alert(1)\"><text>x</text></a>",
                "<?xml-stylesheet href=\"http://example.org/x.css\"?>",
                "<!-- comment -->",
                "<style>@import url(http://example.org/x.css)</style>",
                "<filter id=\"f\"><feImage href=\"http://example.org/\"/></filter>",
            })
    void anything_else_is_left_out(String inside) {
        assertThat(read(svg(inside)))
                .doesNotContain("script")
                .doesNotContain("example.org/")
                .doesNotContain("passwd")
                .doesNotContain("onload")
                .doesNotContain("foreignObject")
                .doesNotContain("comment");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no picture",
                "<html/>",
                "<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><svg viewBox=\"0 0 400 100\"><text>&x;</text></svg>",
                "<svg>",
                "<svg viewBox=\"0 0 400 100\"><path d=\"M0 0\" fill=\"url(#nowhere)\"/></svg>",
                "<svg viewBox=\"0 0 400 100\"><path d=\"M0 0L1e99 1\"/></svg>",
                "<svg viewBox=\"0 0 400 100\"><path d=\"M0 0LNaN 1\"/></svg>",
                "<svg viewBox=\"0 0 400 100\"><path d=\"M0 0L1 1\" transform=\"matrix(1 0 0 1 1e9 0)\"/></svg>",
                "<svg viewBox=\"0 0 400 100\"><path d=\"M0 0L1 1\" fill=\"url(http://example.org/p)\"/></svg>",
            })
    void what_is_no_drawing_of_ours_gives_none(String text) {
        assertThatThrownBy(() -> SectionDrawing.read(text)).isInstanceOf(DrawingBounds.Exceeded.class);
    }

    private static String many(int n, String each) {
        return IntStream.range(0, n).mapToObj(i -> each).collect(Collectors.joining());
    }

    private static String chain() {
        StringBuilder patterns = new StringBuilder("<defs>");
        for (int i = 0; i < 9; i++) {
            patterns.append("<pattern id=\"p")
                    .append(i)
                    .append(
                            "\" width=\"2\" height=\"2\" patternUnits=\"userSpaceOnUse\"><path d=\"M0 0H90V90H0Z\" fill=\"url(#p")
                    .append(i + 1)
                    .append(")\"/></pattern>");
        }
        return patterns + "</defs><rect width=\"1000\" height=\"386\" fill=\"url(#p0)\"/>";
    }

    /** Each of these hung the server or ran it out of memory once. */
    static Stream<Arguments> attacks() {
        String self =
                "<defs><pattern id=\"p\" width=\"9\" height=\"9\"><path d=\"M0 0H9V9Z\" fill=\"url(#p)\"/></pattern></defs>"
                        + "<rect width=\"900\" height=\"300\" fill=\"url(#p)\"/>";
        return Stream.of(
                Arguments.of("nine patterns in each other", svg(chain())),
                Arguments.of(
                        "a frame of 1 by 99999",
                        "<svg viewBox=\"0 0 1 99999\"><rect width=\"1\" height=\"99999\" fill=\"#000\"/></svg>"),
                Arguments.of(
                        "dashes of 0.01", svg("<path d=\"M0 0H20000\" stroke=\"#000\" stroke-dasharray=\"0.01\"/>")),
                Arguments.of(
                        "long lines of short dashes",
                        svg(many(400, "<path d=\"M0 0H9000H0H9000\" stroke=\"#000\" stroke-dasharray=\"0.5\"/>"))),
                Arguments.of("90,000 rectangles", svg(many(90_000, "<rect width=\"9\" height=\"9\" fill=\"#000\"/>"))),
                Arguments.of("a pattern of itself", svg(self)),
                Arguments.of("20,000 groups in each other", svg(many(20_000, "<g>") + many(20_000, "</g>"))),
                Arguments.of("3 MB of words", svg("<text x=\"1\" y=\"1\">" + "word ".repeat(600_000) + "</text>")),
                Arguments.of("words without end", svg(many(5_000, "<text x=\"1\" y=\"9\">word</text>"))),
                Arguments.of(
                        "a plain laid with tiles again and again",
                        svg("<defs>" + TILE + "</defs>"
                                + many(900, "<rect width=\"20000\" height=\"20000\" fill=\"url(#p)\"/>"))),
                Arguments.of("unknown elements in each other", svg(many(20_000, "<x>") + many(20_000, "</x>"))),
                Arguments.of(
                        "a path of two million numbers", svg("<path d=\"M0 0L" + "1 1 ".repeat(500_000) + "\"/>")));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("attacks")
    void more_than_can_be_drawn_is_refused_before_anything_is(String name, String attack) {
        assertTimeoutPreemptively(
                HANGS,
                () -> assertThatThrownBy(() -> SectionDrawing.read(attack))
                        .as(name)
                        .isInstanceOf(DrawingBounds.Exceeded.class));
    }

    /** As much of everything at once as the bounds allow. */
    static Stream<Arguments> most() {
        return Stream.of(
                Arguments.of(
                        "tiles",
                        svg("<defs>" + TILE.replace("3.2", "2") + "</defs>"
                                + many(6, "<path d=\"M0 0H1000V386H0Z\" fill=\"url(#p)\"/>"))),
                Arguments.of(
                        "dashes",
                        svg(
                                many(
                                        29,
                                        "<path d=\"M0 9H1000\" stroke=\"#000\" stroke-width=\"0.6\" stroke-dasharray=\"0.5\"/>"))),
                Arguments.of(
                        "shapes", svg(many(5_500, "<path d=\"M1 2L30 40L50 6Z\" fill=\"#0a0\" stroke=\"#000\"/>"))),
                Arguments.of(
                        "numbers",
                        svg("<path stroke=\"#000\" d=\"M0 0"
                                + IntStream.range(0, 49_000)
                                        .mapToObj(i -> "L" + i % 1000 + " " + (i * 7919L % 386))
                                        .collect(Collectors.joining())
                                + "\"/>")),
                Arguments.of(
                        "words",
                        svg(many(100, "<text x=\"9\" y=\"99\" font-size=\"60\">" + "W".repeat(119) + "</text>"))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("most")
    void the_most_that_is_let_through_is_drawn_and_does_not_hang(String name, String drawing) {
        Printing printing = new Printing(Duration.ofSeconds(15));
        Printing.Picture picture = assertTimeoutPreemptively(HANGS, () -> printing.picture(drawing));
        assertThat(picture.refused()).as(name).isEmpty();
    }

    /** What the page draws of a plan of the demo: two crops, a cover of five species, residue, passes and notes. */
    @Test
    void a_section_of_the_page_comes_through_whole() throws Exception {
        String page;
        try (var in = java.util.Objects.requireNonNull(getClass().getResourceAsStream("/section.svg"))) {
            page = new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        }
        String out = read(page);
        for (String kind : new String[] {"<path", "<text", "<pattern", "<rect"}) {
            assertThat(out.split(kind, -1)).as(kind).hasSameSizeAs(page.split(kind, -1));
        }
        assertThat(new Printing(Duration.ofSeconds(15)).picture(page).refused()).isEmpty();
    }

    @Test
    void a_drawing_that_takes_too_long_all_the_same_is_left_out() {
        String much = svg(many(5_500, "<path d=\"M1 2L30 40L50 6Z\" fill=\"#0a0\" stroke=\"#000\"/>"));
        assertThat(new Printing(Duration.ofMillis(1)).picture(much).refused()).contains("too long to draw");
    }
}
