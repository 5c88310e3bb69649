package app.clearpane.demo;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamRole;

/** Everybody in the story. */
enum Everybody {
    INES("Ines Okafor-Lindqvist", "ines@marram-finch.example", TeamRole.MANAGER),
    TEO("Teo Brandt", "teo@marram-finch.example", TeamRole.MAKER),
    WANDA("Wanda Achterberg", "wanda@marram-finch.example", TeamRole.MAKER),
    RUKMINI("Rukmini Dale", "rukmini@marram-finch.example", TeamRole.MAKER),
    BASTIAN("Bastian Corrie", "bastian@marram-finch.example", TeamRole.OWNER),
    OTTOLINE("Ottoline Vance", "ottoline@penwether.example", "director"),
    JASPER("Jasper Quill-Adeyemi", "jasper@penwether.example", "trustee"),
    MIRELA("Mirela Stancu", "mirela@penwether.example", "head of education"),
    PER("Per Halloran", "per@penwether.example", "volunteer"),
    DOV("Dov Castellan", "dov@garrow.example", "workshop"),
    ANNICK("Annick Roe", "annick@garrow.example", "estimates"),
    LUDO("Ludo Fennimore", "ludo@saltgrass.example", "operations"),
    BERTIL("Bertil Sorrel", "bertil@corran.example", "manager"),
    IMRE("Imre Vadas", "imre@hobandbarley.example", "miller"),
    GRETE("Grete Lindholm", "grete@hobandbarley.example", "shop"),
    CORA("Cora Whitlock", "cora@ellerby.example", "secretary");

    private final String fullName;
    private final String address;
    private final TeamRole role;
    private final String occupation;

    Everybody(String fullName, String address, TeamRole role) {
        this.fullName = fullName;
        this.address = address;
        this.role = role;
        this.occupation = "";
    }

    Everybody(String fullName, String address, String occupation) {
        this.fullName = fullName;
        this.address = address;
        this.role = TeamRole.MAKER;
        this.occupation = occupation;
    }

    boolean ofTeam() {
        return occupation.isEmpty();
    }

    Name called() {
        return new Name(fullName);
    }

    EmailAddress address() {
        return new EmailAddress(address);
    }

    TeamRole role() {
        return role;
    }

    String occupation() {
        return occupation;
    }
}
