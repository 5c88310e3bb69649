package app.clearpane.core.turns;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Working days as people read them: to one decimal, whole when they are ("2.4 days", "2 days", "1 day"). */
public record DaysHeld(double days) {
    @Override
    public String toString() {
        BigDecimal rounded =
                BigDecimal.valueOf(days).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.toPlainString() + (rounded.compareTo(BigDecimal.ONE) == 0 ? " day" : " days");
    }
}
