package app.etlo.server.evaluation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Simulations run in turn, a few at once, and only the newest of a page counts. */
class EvaluationSlotsTest {
    private final EvaluationSlots slots = new EvaluationSlots(1, 3, Duration.ofSeconds(30));
    private final ExecutorService pool = Executors.newCachedThreadPool();
    private final CountDownLatch hold = new CountDownLatch(1);

    @AfterEach
    void stop() {
        hold.countDown();
        pool.shutdownNow();
    }

    private Future<String> from(String page, Callable<String> work) {
        return pool.submit(() -> {
            MockHttpServletRequest request = new MockHttpServletRequest();
            request.setRequestedSessionId("session");
            if (!page.isEmpty()) {
                request.addHeader(EvaluationSlots.PAGE, page);
            }
            RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
            return slots.run(() -> {
                try {
                    return work.call();
                } catch (Exception e) {
                    throw new IllegalStateException(e);
                }
            });
        });
    }

    private Future<String> running() {
        CountDownLatch begun = new CountDownLatch(1);
        Future<String> first = from("", () -> {
            begun.countDown();
            hold.await();
            return "first";
        });
        try {
            begun.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        return first;
    }

    private void waiting(int n) {
        Awaitility.await().until(() -> slots.waiting() == n);
    }

    @Test
    void they_run_in_the_order_they_came() throws Exception {
        List<String> order = new CopyOnWriteArrayList<>();
        Future<String> first = running();
        Future<String> second = from("", () -> String.valueOf(order.add("second")));
        waiting(1);
        Future<String> third = from("", () -> String.valueOf(order.add("third")));
        waiting(2);
        hold.countDown();
        first.get();
        second.get();
        third.get();
        assertThat(order).containsExactly("second", "third");
        assertThat(slots.runIfFree(() -> order.add("free"))).isTrue();
    }

    @Test
    void a_newer_question_of_a_page_takes_the_place_of_the_older() throws Exception {
        Future<String> first = running();
        Future<String> old = from("page-0001", () -> "old");
        waiting(1);
        Future<String> other = from("page-0002", () -> "other");
        waiting(2);
        Future<String> fresh = from("page-0001", () -> "fresh");
        assertThatThrownBy(old::get)
                .isInstanceOf(ExecutionException.class)
                .hasCauseInstanceOf(EvaluationSlots.Superseded.class);
        waiting(2);
        hold.countDown();
        assertThat(first.get()).isEqualTo("first");
        assertThat(other.get()).isEqualTo("other");
        assertThat(fresh.get()).isEqualTo("fresh");
    }

    @Test
    void when_too_many_wait_the_next_is_told_so_at_once_and_a_reading_does_nothing() {
        running();
        for (int i = 1; i <= 3; i++) {
            from("", () -> "waits");
            waiting(i);
        }
        assertThatThrownBy(() -> from("", () -> "one too many").get()).hasCauseInstanceOf(EvaluationSlots.Busy.class);
        assertThat(slots.runIfFree(() -> {
                    throw new AssertionError("ran");
                }))
                .isFalse();
    }

    @Test
    void one_that_fails_gives_its_place_back() throws Exception {
        Future<String> fails = from("", () -> {
            throw new IllegalStateException("no");
        });
        assertThatThrownBy(fails::get).isInstanceOf(ExecutionException.class);
        assertThat(from("", () -> "next").get()).isEqualTo("next");
    }

    @Test
    void one_that_has_waited_long_enough_is_let_go() {
        EvaluationSlots impatient = new EvaluationSlots(1, 3, Duration.ofMillis(50));
        assertThatThrownBy(() -> impatient.run(() -> impatient.run(() -> "inner")))
                .isInstanceOf(EvaluationSlots.Busy.class);
        assertThat(impatient.waiting()).isZero();
    }
}
