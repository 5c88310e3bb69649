package app.clearpane.core.compare;

/** One bit for each pixel of a picture. */
final class Bits {
    private final int width;
    private final int height;
    private final int words;
    private final long[] bits;

    Bits(int width, int height) {
        this.width = width;
        this.height = height;
        words = (width + 63) / 64;
        bits = new long[words * height];
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    /** How many longs a row takes. */
    int words() {
        return words;
    }

    void set(int x, int y) {
        bits[y * words + (x >> 6)] |= 1L << (x & 63);
    }

    boolean get(int x, int y) {
        return (bits[y * words + (x >> 6)] >> (x & 63) & 1) != 0;
    }

    /** How many bits of a row are set from one column up to another. */
    int count(int y, int from, int end) {
        int count = 0;
        for (int word = from >> 6; word <= end - 1 >> 6; word++) {
            long mask = -1L;
            if (word == from >> 6) {
                mask &= -1L << (from & 63);
            }
            if (word == end - 1 >> 6 && (end & 63) != 0) {
                mask &= -1L >>> 64 - (end & 63);
            }
            count += Long.bitCount(bits[y * words + word] & mask);
        }
        return count;
    }

    /** The first set column of a row from one on; the width if there is none. */
    int next(int y, int from) {
        int word = from >> 6;
        if (from >= width) {
            return width;
        }
        long rest = bits[y * words + word] & -1L << (from & 63);
        while (rest == 0 && ++word < words) {
            rest = bits[y * words + word];
        }
        return rest == 0 ? width : word * 64 + Long.numberOfTrailingZeros(rest);
    }

    /** The first column of a row from one on that is not set; the width if there is none. */
    int nextClear(int y, int from) {
        int word = from >> 6;
        if (from >= width) {
            return width;
        }
        long rest = ~bits[y * words + word] & -1L << (from & 63);
        while (rest == 0 && ++word < words) {
            rest = ~bits[y * words + word];
        }
        return rest == 0 ? width : Math.min(width, word * 64 + Long.numberOfTrailingZeros(rest));
    }

    /**
     * The columns of a row that are set or have a set neighbour, in eight directions.
     *
     * @param into filled with them
     * @return whether there is any
     */
    boolean around(int y, long[] into) {
        long any = 0;
        for (int word = 0; word < words; word++) {
            long here = column(word, y);
            long before = word == 0 ? 0 : column(word - 1, y);
            long after = word == words - 1 ? 0 : column(word + 1, y);
            into[word] = here | here << 1 | here >>> 1 | before >>> 63 | after << 63;
            any |= into[word];
        }
        return any != 0;
    }

    private long column(int word, int y) {
        long result = bits[y * words + word];
        if (y > 0) {
            result |= bits[(y - 1) * words + word];
        }
        return y < height - 1 ? result | bits[(y + 1) * words + word] : result;
    }
}
