package app.etlo.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The drawing that the screen sends comes through as drawing only. */
class SafeSvgTest {
    private static String svg(String inside) {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"10\" height=\"10\">" + inside + "</svg>";
    }

    @Test
    void drawing_comes_through() {
        String out = SafeSvg.of(svg(
                        "<g><path d=\"M0 0L1 1\" fill=\"url(#p)\" stroke=\"#0f1e26\"/><text x=\"1\">Sow</text></g>"))
                .orElseThrow();
        assertThat(out).contains("M0 0L1 1").contains("url(#p)").contains("Sow");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<foreignObject><b>x</b></foreignObject>",
                "<image href=\"file:///etc/passwd\"/>",
                "<use href=\"http://example.org/x.svg#y\"/>",
                "<g onload=\"alert(1)\"/>",
                "<path style=\"fill:url(http://example.org)\"/>",
                "<path fill=\"url(http://example.org/p)\"/>",
                "<a href=\"javascript:alert(1)\"><text>x</text></a>",
                "<?xml-stylesheet href=\"http://example.org/x.css\"?>",
                "<!-- comment -->",
            })
    void anything_else_is_left_out(String inside) {
        String out = SafeSvg.of(svg(inside)).orElseThrow();
        assertThat(out)
                .doesNotContain("script")
                .doesNotContain("example.org/")
                .doesNotContain("passwd")
                .doesNotContain("onload")
                .doesNotContain("javascript")
                .doesNotContain("foreignObject")
                .doesNotContain("comment");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no picture",
                "<html/>",
                "<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><svg>&x;</svg>",
                "<svg>",
            })
    void what_is_no_drawing_gives_none(String text) {
        assertThat(SafeSvg.of(text)).isEmpty();
    }
}
