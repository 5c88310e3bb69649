package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.Client;
import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;
import org.jspecify.annotations.Nullable;

/** The agency, its team, its clients and their contacts. */
public final class People {
    private final DSLContext db;

    public People(DSLContext db) {
        this.db = db;
    }

    /** The agency; empty until the first owner has set it up. */
    public Optional<Agency> agency() {
        return db.select(AGENCY.ID, AGENCY.NAME, AGENCY.ZONE)
                .from(AGENCY)
                .orderBy(AGENCY.CREATED_AT, AGENCY.ID)
                .limit(1)
                .fetchOptional(row -> new Agency(row.value1(), row.value2(), ZoneId.of(row.value3())));
    }

    /** Founds the agency. */
    public Agency found(Name name, ZoneId zone, Instant now) {
        UUID id = UUID.randomUUID();
        db.insertInto(AGENCY)
                .set(AGENCY.ID, id)
                .set(AGENCY.NAME, name.value())
                .set(AGENCY.ZONE, zone.getId())
                .set(AGENCY.CREATED_AT, now)
                .execute();
        return new Agency(id, name.value(), zone);
    }

    /** How everybody works together, in the agency's words; empty if nothing was said. */
    public String houseRules() {
        return db.select(AGENCY.HOUSE_RULES)
                .from(AGENCY)
                .orderBy(AGENCY.CREATED_AT, AGENCY.ID)
                .limit(1)
                .fetchOptional(AGENCY.HOUSE_RULES)
                .orElse("");
    }

    /** Says how everybody works together, at once for all panes. */
    public void setHouseRules(String rules) {
        db.update(AGENCY).set(AGENCY.HOUSE_RULES, rules).execute();
    }

    /** Whether contacts may be given tasks at all. */
    public boolean clientsDoTasks() {
        return db.select(AGENCY.CLIENTS_DO_TASKS)
                .from(AGENCY)
                .orderBy(AGENCY.CREATED_AT, AGENCY.ID)
                .limit(1)
                .fetchOptional(AGENCY.CLIENTS_DO_TASKS)
                .orElse(true);
    }

    /** Lets contacts be given tasks or not, at once. */
    public void setClientsDoTasks(boolean may) {
        db.update(AGENCY).set(AGENCY.CLIENTS_DO_TASKS, may).execute();
    }

    /**
     * The day for which was done what follows from a new day; empty before the first one. Nobody else reads it until
     * this transaction has ended.
     */
    public Optional<LocalDate> dayTurned() {
        return db.select(AGENCY.DAY_TURNED).from(AGENCY).forUpdate().fetchOptional(AGENCY.DAY_TURNED);
    }

    public void setDayTurned(LocalDate day) {
        db.update(AGENCY).set(AGENCY.DAY_TURNED, day).execute();
    }

    /** Takes somebody into the team. @param passwordHash null until they choose one */
    public TeamMember addMember(
            Name name, EmailAddress email, TeamRole role, @Nullable String passwordHash, Instant now) {
        TeamMemberId id = new TeamMemberId(UUID.randomUUID());
        db.insertInto(TEAM_MEMBER)
                .set(TEAM_MEMBER.ID, id)
                .set(TEAM_MEMBER.NAME, name.value())
                .set(TEAM_MEMBER.EMAIL, email.value())
                .set(TEAM_MEMBER.ROLE, role)
                .set(TEAM_MEMBER.PASSWORD_HASH, passwordHash)
                .set(TEAM_MEMBER.CREATED_AT, now)
                .execute();
        return new TeamMember(id, name.value(), email.value(), role);
    }

    /** Everyone in the team, by name. */
    public List<TeamMember> team() {
        return db.select(TEAM_MEMBER.ID, TEAM_MEMBER.NAME, TEAM_MEMBER.EMAIL, TEAM_MEMBER.ROLE)
                .from(TEAM_MEMBER)
                .where(TEAM_MEMBER.ENDED_AT.isNull())
                .orderBy(TEAM_MEMBER.NAME, TEAM_MEMBER.ID)
                .fetch(Records.mapping(TeamMember::new));
    }

    /**
     * Somebody's place in the team.
     *
     * @param hasPassword false until they have chosen one
     */
    public record Membership(TeamMember member, Instant since, boolean hasPassword) {}

    /** Everyone in the team with their place in it, by name. */
    public List<Membership> memberships() {
        return db.select(
                        TEAM_MEMBER.ID,
                        TEAM_MEMBER.NAME,
                        TEAM_MEMBER.EMAIL,
                        TEAM_MEMBER.ROLE,
                        TEAM_MEMBER.CREATED_AT,
                        TEAM_MEMBER.PASSWORD_HASH)
                .from(TEAM_MEMBER)
                .where(TEAM_MEMBER.ENDED_AT.isNull())
                .orderBy(TEAM_MEMBER.NAME, TEAM_MEMBER.ID)
                .fetch(row -> new Membership(
                        new TeamMember(row.value1(), row.value2(), row.value3(), row.value4()),
                        row.value5(),
                        row.value6() != null));
    }

    /** Whether this address is, or was, one of the team's. */
    public boolean isTeams(EmailAddress email) {
        return db.fetchExists(TEAM_MEMBER, TEAM_MEMBER.EMAIL.eq(email.value()));
    }

    /** Keeps everybody else from changing the team until the transaction ends. */
    public void lockTeam() {
        db.select(AGENCY.ID).from(AGENCY).forUpdate().fetch();
    }

    /** Gives one of the team another role. */
    public void changeRole(TeamMemberId id, TeamRole role) {
        db.update(TEAM_MEMBER)
                .set(TEAM_MEMBER.ROLE, role)
                .where(TEAM_MEMBER.ID.eq(id))
                .execute();
    }

    /** Gives one of the team another password. */
    public void setPassword(TeamMemberId id, String hash) {
        db.update(TEAM_MEMBER)
                .set(TEAM_MEMBER.PASSWORD_HASH, hash)
                .where(TEAM_MEMBER.ID.eq(id))
                .execute();
    }

    /** Takes somebody back who had left, under the name and role of now. */
    public void takeBack(EmailAddress email, Name name, TeamRole role) {
        db.update(TEAM_MEMBER)
                .set(TEAM_MEMBER.NAME, name.value())
                .set(TEAM_MEMBER.ROLE, role)
                .setNull(TEAM_MEMBER.ENDED_AT)
                .setNull(TEAM_MEMBER.PASSWORD_HASH)
                .where(TEAM_MEMBER.EMAIL.eq(email.value()))
                .execute();
    }

    /** Lets somebody leave; what they did stays theirs. */
    public void leave(TeamMemberId id, Instant now) {
        db.update(TEAM_MEMBER)
                .set(TEAM_MEMBER.ENDED_AT, now)
                .setNull(TEAM_MEMBER.PASSWORD_HASH)
                .where(TEAM_MEMBER.ID.eq(id))
                .execute();
    }

    /** One of the team by their address. */
    public Optional<TeamMember> memberAt(EmailAddress email) {
        return db.select(TEAM_MEMBER.ID, TEAM_MEMBER.NAME, TEAM_MEMBER.EMAIL, TEAM_MEMBER.ROLE)
                .from(TEAM_MEMBER)
                .where(TEAM_MEMBER.EMAIL.eq(email.value()), TEAM_MEMBER.ENDED_AT.isNull())
                .fetchOptional(Records.mapping(TeamMember::new));
    }

    /** A member of the team. */
    public Optional<TeamMember> member(TeamMemberId id) {
        return db.select(TEAM_MEMBER.ID, TEAM_MEMBER.NAME, TEAM_MEMBER.EMAIL, TEAM_MEMBER.ROLE)
                .from(TEAM_MEMBER)
                .where(TEAM_MEMBER.ID.eq(id), TEAM_MEMBER.ENDED_AT.isNull())
                .fetchOptional(Records.mapping(TeamMember::new));
    }

    /** A member of the team with the hash of their password, for signing in. */
    public Optional<Credentials> credentials(EmailAddress email) {
        return db.select(
                        TEAM_MEMBER.ID,
                        TEAM_MEMBER.NAME,
                        TEAM_MEMBER.EMAIL,
                        TEAM_MEMBER.ROLE,
                        TEAM_MEMBER.PASSWORD_HASH)
                .from(TEAM_MEMBER)
                .where(
                        TEAM_MEMBER.EMAIL.eq(email.value()),
                        TEAM_MEMBER.ENDED_AT.isNull(),
                        TEAM_MEMBER.PASSWORD_HASH.isNotNull())
                .fetchOptional(row -> new Credentials(
                        new TeamMember(row.value1(), row.value2(), row.value3(), row.value4()), row.value5()));
    }

    /** What a password is checked against. */
    public record Credentials(TeamMember member, String passwordHash) {}

    /** The client of this name, taken in if it is new. */
    public ClientId clientNamed(Name name, Instant now) {
        return db.select(CLIENT.ID)
                .from(CLIENT)
                .where(CLIENT.NAME.eq(name.value()), CLIENT.OWN.isFalse())
                .orderBy(CLIENT.CREATED_AT, CLIENT.ID)
                .limit(1)
                .fetchOptional(CLIENT.ID)
                .orElseGet(() -> {
                    ClientId id = new ClientId(UUID.randomUUID());
                    db.insertInto(CLIENT)
                            .set(CLIENT.ID, id)
                            .set(CLIENT.NAME, name.value())
                            .set(CLIENT.CREATED_AT, now)
                            .execute();
                    return id;
                });
    }

    /** What stands for the client where the work is the house's own. */
    public ClientId ownWork(Instant now) {
        return db.select(CLIENT.ID)
                .from(CLIENT)
                .where(CLIENT.OWN.isTrue())
                .fetchOptional(CLIENT.ID)
                .orElseGet(() -> {
                    ClientId id = new ClientId(UUID.randomUUID());
                    db.insertInto(CLIENT)
                            .set(CLIENT.ID, id)
                            .set(CLIENT.NAME, "Our own work")
                            .set(CLIENT.OWN, true)
                            .set(CLIENT.CREATED_AT, now)
                            .execute();
                    return id;
                });
    }

    /** All clients, by name. */
    public List<Client> clients() {
        return db.select(CLIENT.ID, CLIENT.NAME)
                .from(CLIENT)
                .where(CLIENT.OWN.isFalse())
                .orderBy(CLIENT.NAME, CLIENT.ID)
                .fetch(Records.mapping(Client::new));
    }

    /** A client. */
    public Optional<Client> client(ClientId id) {
        return db.select(CLIENT.ID, CLIENT.NAME)
                .from(CLIENT)
                .where(CLIENT.ID.eq(id))
                .fetchOptional(Records.mapping(Client::new));
    }

    /** Takes in a contact; the address must not be anybody else's. */
    public Contact addContact(ClientId client, Name name, EmailAddress email, String occupation, Instant now) {
        ContactId id = new ContactId(UUID.randomUUID());
        db.insertInto(CONTACT)
                .set(CONTACT.ID, id)
                .set(CONTACT.CLIENT_ID, client)
                .set(CONTACT.NAME, name.value())
                .set(CONTACT.EMAIL, email.value())
                .set(CONTACT.OCCUPATION, occupation)
                .set(CONTACT.CREATED_AT, now)
                .execute();
        return new Contact(id, client, name.value(), email.value(), occupation);
    }

    /** Changes what a contact is called, their address and what they do. */
    public void changeContact(Contact wanted) {
        db.update(CONTACT)
                .set(CONTACT.NAME, wanted.name())
                .set(CONTACT.EMAIL, wanted.email())
                .set(CONTACT.OCCUPATION, wanted.occupation())
                .where(CONTACT.ID.eq(wanted.id()))
                .execute();
    }

    /** The contact with this address. */
    public Optional<Contact> contactAt(EmailAddress email) {
        app.clearpane.store.schema.tables.Contact same = CONTACT.as("same");
        return db.select(CONTACT.ID, CONTACT.CLIENT_ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION)
                .from(CONTACT)
                .where(CONTACT.ID.in(DSL.select(DSL.coalesce(same.SAME_AS, same.ID.coerce(SQLDataType.UUID))
                                .coerce(CONTACT.ID))
                        .from(same)
                        .where(same.EMAIL.eq(email.value()))))
                .fetchOptional(Records.mapping(Contact::new));
    }

    /** A contact. */
    public Optional<Contact> contact(ContactId id) {
        return db.select(CONTACT.ID, CONTACT.CLIENT_ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION)
                .from(CONTACT)
                .where(CONTACT.ID.eq(id))
                .fetchOptional(Records.mapping(Contact::new));
    }

    /** Whether a contact is with their client no more. */
    public boolean hasLeft(ContactId id) {
        return db.fetchExists(CONTACT, CONTACT.ID.eq(id), CONTACT.LEFT_AT.isNotNull());
    }

    /** These contacts, by name. */
    public List<Contact> contacts(Collection<ContactId> ids) {
        return db.select(CONTACT.ID, CONTACT.CLIENT_ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION)
                .from(CONTACT)
                .where(CONTACT.ID.in(ids))
                .orderBy(CONTACT.NAME, CONTACT.ID)
                .fetch(Records.mapping(Contact::new));
    }

    /** All contacts that have not left, by name. */
    public List<Contact> contacts() {
        return db.select(CONTACT.ID, CONTACT.CLIENT_ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION)
                .from(CONTACT)
                .where(CONTACT.LEFT_AT.isNull())
                .orderBy(CONTACT.NAME, CONTACT.ID)
                .fetch(Records.mapping(Contact::new));
    }

    /** The contacts of a client that have not left, by name. */
    public List<Contact> contactsOf(ClientId client) {
        return db.select(CONTACT.ID, CONTACT.CLIENT_ID, CONTACT.NAME, CONTACT.EMAIL, CONTACT.OCCUPATION)
                .from(CONTACT)
                .where(CONTACT.CLIENT_ID.eq(client), CONTACT.LEFT_AT.isNull())
                .orderBy(CONTACT.NAME, CONTACT.ID)
                .fetch(Records.mapping(Contact::new));
    }
}
