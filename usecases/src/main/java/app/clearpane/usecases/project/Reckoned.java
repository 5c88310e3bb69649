package app.clearpane.usecases.project;

import app.clearpane.core.money.TypedAmount;
import app.clearpane.usecases.shell.Input;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.Optional;

/** Reads what a project or the house reckons with, as typed. */
public final class Reckoned {
    /** The most days until an invoice is due. */
    public static final int MOST_PAYMENT_DAYS = 365;

    private Reckoned() {}

    /** Requires three letters of ISO 4217. */
    public static void requireCurrency(Input input, String currency) {
        input.require(
                Currency.getAvailableCurrencies().stream()
                        .anyMatch(known -> known.getCurrencyCode().equals(currency)),
                "“" + currency + "” is not a currency. Use its three letters, as in GBP or EUR.");
    }

    /** A tax in per cent, from 0 to 100. */
    public static Optional<BigDecimal> tax(Input input, String tax) {
        Optional<BigDecimal> percent = TypedAmount.of(tax.strip().replaceFirst("\\s*%$", ""))
                .filter(read ->
                        read.signum() >= 0 && read.compareTo(BigDecimal.valueOf(100)) <= 0 && read.scale() <= 2);
        if (percent.isPresent()) {
            return percent;
        }
        input.require(false, "The tax should be a number from 0 to 100 with at most two decimals, as in 20 or 17.5.");
        return Optional.empty();
    }
}
