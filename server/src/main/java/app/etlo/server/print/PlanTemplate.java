package app.etlo.server.print;

import java.util.Locale;
import java.util.Map;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Lays the printed plan out as a page. What stands in it is escaped; the picture alone, a closed model of shapes, is not. */
final class PlanTemplate {
    private static final TemplateEngine ENGINE = engine();

    private PlanTemplate() {}

    static String html(PlanPage page) {
        return ENGINE.process("plan", new Context(Locale.ROOT, Map.of("page", page)));
    }

    private static TemplateEngine engine() {
        ClassLoaderTemplateResolver pages = new ClassLoaderTemplateResolver(PlanTemplate.class.getClassLoader());
        pages.setPrefix("print/");
        pages.setSuffix(".html");
        pages.setTemplateMode(TemplateMode.HTML);
        pages.setCharacterEncoding("UTF-8");
        TemplateEngine engine = new TemplateEngine();
        engine.setTemplateResolver(pages);
        return engine;
    }
}
