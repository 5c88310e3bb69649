package app.clearpane.web;

import app.clearpane.formats.apart.DrawApart;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.agency.ClientParticulars;
import app.clearpane.store.agency.Directory;
import app.clearpane.store.agency.Forgetting;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.store.agency.KeptOfContact;
import app.clearpane.store.agency.Notes;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.agency.SignInLinks;
import app.clearpane.store.agency.SignIns;
import app.clearpane.store.backup.HouseBackup;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.ExtraRounds;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.desk.Finder;
import app.clearpane.store.desk.TurnCounts;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.store.exposure.ItemViews;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.exposure.client.VisibleNames;
import app.clearpane.store.exposure.client.VisibleWishes;
import app.clearpane.store.exposure.client.Visits;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Seal;
import app.clearpane.store.files.Uploads;
import app.clearpane.store.files.Vault;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.markup.ClashTurns;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.markup.Rulings;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.BroughtTables;
import app.clearpane.store.plan.Feeds;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.TaskSteps;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.TimeSpent;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.post.GivenUp;
import app.clearpane.store.post.Mails;
import app.clearpane.store.project.Concerns;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.project.ProjectPeople;
import app.clearpane.store.project.ProjectWords;
import app.clearpane.store.project.Projects;
import app.clearpane.store.project.WhoseProject;
import app.clearpane.store.project.client.VisibleConcerns;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.store.project.client.VisibleWords;
import app.clearpane.store.record.Records;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.backup.KeepBackups;
import app.clearpane.usecases.jobs.QueueTime;
import app.clearpane.usecases.shell.TheAgency;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import org.jooq.DSLContext;
import org.jooq.impl.DefaultExecuteListenerProvider;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Makes the repositories, the vault and the clock. */
@Configuration(proxyBeanMethods = false)
class StoreConfiguration {

    @Bean
    @Profile("!demo")
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    @Profile("!demo")
    QueueTime realQueueTime() {
        return Instant::now;
    }

    @Bean
    @ConditionalOnMissingBean
    Vault vault(HouseSettings house) throws IOException {
        return Vault.in(house.vault());
    }

    @Bean
    DrawApart drawApart(HouseSettings house) {
        return new DrawApart(house.drawing());
    }

    /** When the house stops, nobody waits for a file to be drawn. */
    @Bean
    ApplicationListener<ContextClosedEvent> endsDrawing(DrawApart drawApart) {
        return closed -> drawApart.close();
    }

    @Bean
    People people(DSLContext db) {
        return new People(db);
    }

    @Bean
    SignInLinks signInLinks(DSLContext db) {
        return new SignInLinks(db);
    }

    @Bean
    SecondFactors secondFactors(DSLContext db) {
        return new SecondFactors(db);
    }

    @Bean
    Seal seal(HouseSettings house) throws IOException {
        return Seal.in(house.data());
    }

    @Bean
    SignIns signIns(DSLContext db) {
        return new SignIns(db);
    }

    @Bean
    KeepBackups.HouseCopy houseCopy(DSLContext db, Vault vault, HouseSettings house) {
        return folder -> HouseBackup.make(db, vault, house.data(), folder);
    }

    @Bean
    Uploads uploads(DSLContext db) {
        return new Uploads(db);
    }

    @Bean
    GivenUp givenUp(DSLContext db) {
        return new GivenUp(db);
    }

    @Bean
    Sessions sessions(DSLContext db) {
        return new Sessions(db);
    }

    @Bean
    Notes notes(DSLContext db) {
        return new Notes(db);
    }

    @Bean
    Projects projects(DSLContext db) {
        return new Projects(db);
    }

    @Bean
    Concerns concerns(DSLContext db) {
        return new Concerns(db);
    }

    @Bean
    VisibleConcerns visibleConcerns(DSLContext db) {
        return new VisibleConcerns(db);
    }

    @Bean
    Tasks tasks(DSLContext db) {
        return new Tasks(db);
    }

    @Bean
    TaskSteps taskSteps(DSLContext db) {
        return new TaskSteps(db);
    }

    @Bean
    TaskFiles taskFiles(DSLContext db) {
        return new TaskFiles(db);
    }

    @Bean
    TimeSpent timeSpent(DSLContext db) {
        return new TimeSpent(db);
    }

    @Bean
    BroughtTables broughtTables(DSLContext db) {
        return new BroughtTables(db);
    }

    @Bean
    Feeds feeds(DSLContext db) {
        return new Feeds(db);
    }

    @Bean
    Agreements agreements(DSLContext db) {
        return new Agreements(db);
    }

    @Bean
    VisibleTasks visibleTasks(DSLContext db) {
        return new VisibleTasks(db);
    }

    @Bean
    Items items(DSLContext db, TheAgency agency) {
        return new Items(db, agency::day);
    }

    @Bean
    AgencyApertures agencyApertures(DSLContext db) {
        return new AgencyApertures(db);
    }

    @Bean
    Panes panes(DSLContext db) {
        return new Panes(db);
    }

    @Bean
    ItemViews itemViews(DSLContext db) {
        return new ItemViews(db);
    }

    @Bean
    Visits visits(DSLContext db, WriteCounter writes) {
        WriteCounter ofVisits = new WriteCounter(StoreConfiguration::onceSettled);
        return new Visits(writes.countedBy(ofVisits, db), ofVisits);
    }

    @Bean
    WriteCounter writes() {
        return new WriteCounter(StoreConfiguration::onceSettled);
    }

    @Bean
    DefaultExecuteListenerProvider counted(WriteCounter writes) {
        return new DefaultExecuteListenerProvider(writes);
    }

    private static void onceSettled(Runnable then) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            then.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                then.run();
            }
        });
    }

    @Bean
    ProjectWords projectWords(DSLContext db) {
        return new ProjectWords(db);
    }

    @Bean
    VisibleWords visibleWords(DSLContext db) {
        return new VisibleWords(db);
    }

    @Bean
    Directory directory(DSLContext db) {
        return new Directory(db);
    }

    @Bean
    LinkSeats linkSeats(DSLContext db) {
        return new LinkSeats(db);
    }

    @Bean
    Seats seats(DSLContext db) {
        return new Seats(db);
    }

    @Bean
    ProjectFiles projectFiles(DSLContext db) {
        return new ProjectFiles(db);
    }

    @Bean
    Deliverables deliverables(DSLContext db) {
        return new Deliverables(db);
    }

    @Bean
    HouseTemplates houseTemplates(DSLContext db) {
        return new HouseTemplates(db);
    }

    @Bean
    ClientParticulars clientParticulars(DSLContext db) {
        return new ClientParticulars(db);
    }

    @Bean
    OwnThings ownThings(DSLContext db) {
        return new OwnThings(db);
    }

    @Bean
    KeptOfContact keptOfContact(DSLContext db) {
        return new KeptOfContact(db);
    }

    @Bean
    Forgetting forgetting(DSLContext db) {
        return new Forgetting(db);
    }

    @Bean
    HousePictures housePictures(DSLContext db) {
        return new HousePictures(db);
    }

    @Bean
    SeatWishes seatWishes(DSLContext db) {
        return new SeatWishes(db);
    }

    @Bean
    VisibleWishes visibleWishes(DSLContext db) {
        return new VisibleWishes(db);
    }

    @Bean
    WhoseProject whoseProject(DSLContext db) {
        return new WhoseProject(db);
    }

    @Bean
    ProjectPeople projectPeople(DSLContext db) {
        return new ProjectPeople(db);
    }

    @Bean
    HouseHabits houseHabits(DSLContext db) {
        return new HouseHabits(db);
    }

    @Bean
    SigningDefaults signingDefaults(DSLContext db) {
        return new SigningDefaults(db);
    }

    @Bean
    Reminders reminders(DSLContext db) {
        return new Reminders(db);
    }

    @Bean
    SilenceTerms silenceTerms(DSLContext db) {
        return new SilenceTerms(db);
    }

    @Bean
    StandIns standIns(DSLContext db) {
        return new StandIns(db);
    }

    @Bean
    ExtraRounds extraRounds(DSLContext db) {
        return new ExtraRounds(db);
    }

    @Bean
    Checklists checklists(DSLContext db) {
        return new Checklists(db);
    }

    @Bean
    Papers papers(DSLContext db) {
        return new Papers(db);
    }

    @Bean
    Requests requestsOfProjects(DSLContext db) {
        return new Requests(db);
    }

    @Bean
    Questionnaires questionnaires(DSLContext db) {
        return new Questionnaires(db);
    }

    @Bean
    VisibleRequests visibleRequests(DSLContext db) {
        return new VisibleRequests(db);
    }

    @Bean
    VisiblePapers visiblePapers(DSLContext db) {
        return new VisiblePapers(db);
    }

    @Bean
    Drawings drawings(DSLContext db) {
        return new Drawings(db);
    }

    @Bean
    Markups markups(DSLContext db) {
        return new Markups(db);
    }

    @Bean
    ClashTurns clashTurns(DSLContext db) {
        return new ClashTurns(db);
    }

    @Bean
    Rulings rulings(DSLContext db) {
        return new Rulings(db);
    }

    @Bean
    Comparisons comparisons(DSLContext db) {
        return new Comparisons(db);
    }

    @Bean
    Releases releases(DSLContext db) {
        return new Releases(db);
    }

    @Bean
    Records records(DSLContext db) {
        return new Records(db);
    }

    @Bean
    Mails mails(DSLContext db) {
        return new Mails(db);
    }

    @Bean
    TurnCounts turnCounts(DSLContext db) {
        return new TurnCounts(db);
    }

    @Bean
    Finder finder(DSLContext db) {
        return new Finder(db);
    }

    @Bean
    Viewers viewers(DSLContext db, TheAgency agency) {
        return new Viewers(db, agency::day);
    }

    @Bean
    VisibleDates visibleDates(DSLContext db) {
        return new VisibleDates(db);
    }

    @Bean
    VisibleFiles visibleFiles(DSLContext db) {
        return new VisibleFiles(db);
    }

    @Bean
    VisibleDeliverables visibleDeliverables(DSLContext db) {
        return new VisibleDeliverables(db);
    }

    @Bean
    VisibleMarkups visibleMarkups(DSLContext db) {
        return new VisibleMarkups(db);
    }

    @Bean
    VisibleNames visibleNames(DSLContext db) {
        return new VisibleNames(db);
    }
}
