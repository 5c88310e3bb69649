package app.clearpane.web;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** Does several things at a time, as many as there are processors. */
public final class Together {
    private Together() {}

    /** What each comes to, in their order. @throws AssertionError the first of theirs */
    public static <T> List<T> all(List<? extends Callable<T>> things) throws Exception {
        ExecutorService threads =
                Executors.newFixedThreadPool(Math.max(2, Runtime.getRuntime().availableProcessors()));
        try {
            List<T> results = new ArrayList<>();
            for (Future<T> done : threads.invokeAll(things)) {
                results.add(done.get());
            }
            return results;
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof AssertionError wrong) {
                throw wrong;
            }
            throw failed;
        } finally {
            threads.shutdown();
        }
    }
}
