package app.clearpane.web.house;

/** What the house usually reckons with, as typed. */
record UsualForm(String currency, String tax, String paymentDays, int revision) {}
