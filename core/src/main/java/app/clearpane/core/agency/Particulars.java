package app.clearpane.core.agency;

/**
 * What a client is in law and on letters. Each may be empty.
 *
 * @param legalName as it stands in contracts and on invoices
 * @param address in lines
 * @param hours when somebody is there, in words
 * @param taxNumber as the client writes it
 * @param revision 0 while nothing was ever said
 */
public record Particulars(String legalName, String address, String hours, String taxNumber, int revision) {
    /** Of whoever never said. */
    public static final Particulars NONE = new Particulars("", "", "", "", 0);

    /** Whether nothing is known. */
    public boolean none() {
        return (legalName + address + hours + taxNumber).isEmpty();
    }

    /** The name that stands on papers. @param called what the client is called otherwise */
    public String nameOr(String called) {
        return legalName.isEmpty() ? called : legalName;
    }

    /** The address as one line. */
    public String addressInALine() {
        return address.strip().replaceAll("\\s*\\R\\s*", ", ");
    }
}
