package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class BandTest {
    @Test
    void a_last_digit_on_the_wrong_side_is_put_right_and_more_is_refused() {
        double middle = 6.152341842651366;
        Band b = new Band(Math.nextUp(middle), middle, Math.nextUp(middle));
        assertThat(b.low()).isEqualTo(middle);
        assertThat(b.high()).isEqualTo(Math.nextUp(middle));
        assertThatThrownBy(() -> new Band(2, 1, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Band(1, 2, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }
}
