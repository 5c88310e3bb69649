package app.clearpane.store.agency;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** Links from mails: each opens once, until its day, unless it was taken away. */
class SignInLinksTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final SignInLinks ways = new SignInLinks(house.db);
    private final Contact jasper = house.contact("jasper");
    private final Sha256 key = Sha256.ofText("key");

    private SignInLinks.WayIn way() {
        ways.add(
                key,
                new SignInLinks.Grant(jasper.id(), null, "/c", AHouse.NOW.plus(Duration.ofDays(14)), false),
                AHouse.NOW);
        return ways.find(key).orElseThrow();
    }

    @Test
    void onlyADemoHasLinksThatOpenAgainAndAgain() {
        way();
        assertThat(ways.anyOfADemo()).isFalse();
        ways.add(
                Sha256.ofText("lasting"),
                new SignInLinks.Grant(jasper.id(), null, "/c", AHouse.NOW.plus(Duration.ofDays(400)), true),
                AHouse.NOW);
        assertThat(ways.anyOfADemo()).isTrue();
    }

    @Test
    void opensOnce() {
        SignInLinks.WayIn way = way();
        assertThat(way.opensAt(AHouse.NOW)).isTrue();
        assertThat(ways.use(way, AHouse.NOW)).isTrue();
        assertThat(ways.use(way, AHouse.NOW)).isFalse();
        assertThat(ways.find(key).orElseThrow().opensAt(AHouse.NOW)).isFalse();
    }

    @Test
    void opensForOneOfTwoWhoComeAtOnce() throws Exception {
        SignInLinks.WayIn way = way();
        ExecutorService two = Executors.newFixedThreadPool(2);
        Callable<Boolean> use = () -> ways.use(way, AHouse.NOW);
        int opened = 0;
        for (Future<Boolean> one : two.invokeAll(List.of(use, use))) {
            opened += one.get() ? 1 : 0;
        }
        two.shutdown();
        assertThat(opened).isEqualTo(1);
    }

    @Test
    void opensUntilItsLastInstant() {
        SignInLinks.WayIn way = way();
        assertThat(way.opensAt(AHouse.NOW.plus(Duration.ofDays(14)).minusMillis(1)))
                .isTrue();
        assertThat(way.opensAt(AHouse.NOW.plus(Duration.ofDays(14)))).isFalse();
    }

    @Test
    void allOfSomebodysLinksCanBeTakenAway() {
        way();
        assertThat(ways.revokeAll(jasper.id(), AHouse.NOW)).isEqualTo(1);
        assertThat(ways.find(key).filter(way -> way.opensAt(AHouse.NOW))).isEmpty();
    }

    @Test
    void anUnknownKeyOpensNothing() {
        assertThat(ways.find(Sha256.ofText("another"))).isEmpty();
    }
}
