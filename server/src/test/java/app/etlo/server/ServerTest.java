package app.etlo.server;

import app.etlo.testkit.Postgres;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.test.context.ContextConfiguration;

/** The whole server on a PostgreSQL of its own. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest
@AutoConfigureMockMvc
@ContextConfiguration(initializers = ServerTest.Database.class)
public @interface ServerTest {
    class Database implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            Postgres pg = Postgres.shared();
            TestPropertyValues.of(
                            "spring.datasource.url=" + pg.jdbcUrl(),
                            "spring.datasource.username=" + pg.user(),
                            "spring.datasource.password=" + pg.password(),
                            // hundreds of practices are opened from this one address
                            "etlo.limits.entrance.address=100000",
                            "etlo.limits.entrance.burst=100000",
                            "etlo.limits.joining.address=100000",
                            "etlo.limits.joining.burst=100000",
                            "etlo.limits.link.address=100000",
                            "etlo.limits.link.burst=100000",
                            "etlo.limits.evaluate.burst=100000",
                            "etlo.limits.imports.burst=100000",
                            // as the product is set up: see FirstVersionTest
                            "etlo.bcrypt-strength=4",
                            "etlo.day=2026-06-01",
                            "etlo.outbox.file=" + Letters.FILE,
                            "etlo.outbox.retry=100ms",
                            "etlo.outside.forecast=" + Outdoors.url("forecast"),
                            "etlo.outside.probe=" + Outdoors.url("probe"),
                            "etlo.outside.longest=700ms",
                            "etlo.refresh.polling-interval=100ms",
                            "db-scheduler.polling-interval=100ms")
                    .applyTo(context);
        }
    }
}
