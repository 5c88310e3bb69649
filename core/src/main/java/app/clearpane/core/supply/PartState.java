package app.clearpane.core.supply;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Rule Q4: how a part of a request stands. */
public sealed interface PartState {
    /** Whether it is for the client's side to do something. */
    boolean isTheClients();

    /** Nothing was given yet. */
    record NothingYet(int wanted) implements PartState {
        @Override
        public boolean isTheClients() {
            return true;
        }
    }

    /** Some of what is wanted is there. */
    record Some(int given, int wanted) implements PartState {
        @Override
        public boolean isTheClients() {
            return true;
        }
    }

    /** Another is wanted for one that was given. */
    record AskedAgain(String why, int given, int wanted) implements PartState {
        @Override
        public boolean isTheClients() {
            return true;
        }
    }

    /** All is there, for us to look at. @param failing how many fail a check, so that the turn stays */
    record ToLookAt(int given, int failing) implements PartState {
        @Override
        public boolean isTheClients() {
            return failing > 0;
        }
    }

    /** All of it was accepted. */
    record Accepted(int given) implements PartState {
        @Override
        public boolean isTheClients() {
            return false;
        }
    }

    /** How a part stands. @param all everything that was given for the request */
    static PartState of(RequestPart part, List<Supplied> all) {
        List<Supplied> own =
                all.stream().filter(one -> one.part().equals(part.id())).toList();
        List<Supplied> there = own.stream().filter(Supplied::fills).toList();
        if (there.size() < part.wanted()) {
            Optional<String> why = whyAskedAgain(own);
            if (why.isPresent()) {
                return new AskedAgain(why.get(), there.size(), part.wanted());
            }
            return there.isEmpty() ? new NothingYet(part.wanted()) : new Some(there.size(), part.wanted());
        }
        return there.stream().allMatch(Supplied::isAccepted)
                ? new Accepted(there.size())
                : new ToLookAt(there.size(), (int)
                        there.stream().filter(Supplied::holdsUp).count());
    }

    private static Optional<String> whyAskedAgain(List<Supplied> own) {
        return own.stream()
                .map(Supplied::standing)
                .filter(Supplied.AskedAgain.class::isInstance)
                .map(Supplied.AskedAgain.class::cast)
                .max(Comparator.comparing(Supplied.AskedAgain::at))
                .map(Supplied.AskedAgain::why);
    }
}
