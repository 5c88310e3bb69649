package app.clearpane.usecases.house;

/** What the house usually reckons with, as typed. */
public record UsualForm(String currency, String tax, String paymentDays, int revision) {}
