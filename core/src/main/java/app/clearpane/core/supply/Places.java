package app.clearpane.core.supply;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * Rule Q4: which parts files go to that were given together to a whole request. They fill the most places that the
 * checks allow, a maximum matching of files to places; of all ways to do that, the first part gets its files first, and
 * of the files the first that leave the most for the others.
 */
public final class Places {
    private static final int NONE = -1;

    private final boolean[][] allowed;
    private final int[] fileOf;
    private final int[] placeOf;

    private Places(int places, int files, IntFunction<IntFunction<Boolean>> allowed) {
        this.allowed = new boolean[places][files];
        this.fileOf = new int[places];
        this.placeOf = new int[files];
        Arrays.fill(fileOf, NONE);
        Arrays.fill(placeOf, NONE);
        for (int place = 0; place < places; place++) {
            for (int file = 0; file < files; file++) {
                this.allowed[place][file] = allowed.apply(place).apply(file);
            }
        }
    }

    /**
     * The part each file goes to, in the order of the files: its number among the parts, from 0; -1 for files that no
     * part has a place for or allows.
     *
     * @param parts in order
     * @param missing how many places each of them has, none of them negative
     */
    public static List<Integer> of(List<RequestPart> parts, List<Integer> missing, List<FileFacts> files) {
        List<Integer> partOf = IntStream.range(0, parts.size())
                .boxed()
                .flatMap(part -> IntStream.range(0, Math.min(missing.get(part), files.size()))
                        .mapToObj(place -> part))
                .toList();
        boolean[][] allows = new boolean[parts.size()][files.size()];
        for (int part = 0; part < parts.size(); part++) {
            for (int file = 0; file < files.size(); file++) {
                allows[part][file] = parts.get(part).allows(files.get(file));
            }
        }
        Places places = new Places(partOf.size(), files.size(), place -> file -> allows[partOf.get(place)][file]);
        places.fill();
        List<Integer> found = new ArrayList<>();
        for (int file = 0; file < files.size(); file++) {
            found.add(places.placeOf[file] == NONE ? Integer.valueOf(NONE) : partOf.get(places.placeOf[file]));
        }
        return found;
    }

    private void fill() {
        for (int place = 0; place < allowed.length; place++) {
            augment(place, 0, new boolean[placeOf.length]);
        }
        for (int place = 0; place < allowed.length; place++) {
            takeTheFirst(place);
        }
    }

    /** Gives a place one file, moving the files of places from a number on; nothing is changed where that cannot be. */
    private boolean augment(int place, int from, boolean[] tried) {
        for (int file = 0; file < placeOf.length; file++) {
            if (!allowed[place][file] || tried[file] || isSettled(file, from)) {
                continue;
            }
            tried[file] = true;
            if (placeOf[file] == NONE || augment(placeOf[file], from, tried)) {
                fileOf[place] = file;
                placeOf[file] = place;
                return true;
            }
        }
        return false;
    }

    private boolean isSettled(int file, int from) {
        return placeOf[file] != NONE && placeOf[file] < from;
    }

    /** Gives a place the first file with which as many places stay filled; those before it keep theirs. */
    private void takeTheFirst(int place) {
        if (fileOf[place] == NONE) {
            return;
        }
        for (int file = 0; file < fileOf[place]; file++) {
            if (allowed[place][file] && !isSettled(file, place) && swaps(place, file)) {
                return;
            }
        }
    }

    private boolean swaps(int place, int file) {
        int[] files = fileOf.clone();
        int[] places = placeOf.clone();
        int before = fileOf[place];
        int loser = placeOf[file];
        placeOf[before] = NONE;
        fileOf[place] = file;
        placeOf[file] = place;
        if (loser == NONE) {
            return true;
        }
        boolean[] tried = new boolean[placeOf.length];
        tried[file] = true;
        if (augment(loser, place, tried)) {
            return true;
        }
        System.arraycopy(files, 0, fileOf, 0, files.length);
        System.arraycopy(places, 0, placeOf, 0, places.length);
        return false;
    }
}
