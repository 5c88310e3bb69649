/* Where notes stand in a margin: the same computation as the core's MarginLayout, over heights that only the browser knows. */

/** The upper edges of notes {wantedTop, height} in order, never nearer than gap, moved as little as can be (pool adjacent violators). */
export function tops(notes, gap, length) {
  const needed = notes.reduce((sum, note) => sum + note.height, 0) + gap * Math.max(0, notes.length - 1);
  const latest = Math.max(0, length - needed);
  const pools = [];
  let above = 0;
  for (const note of notes) {
    let pool = { sum: note.wantedTop - above, size: 1 };
    while (pools.length && pools[pools.length - 1].sum / pools[pools.length - 1].size >= pool.sum / pool.size) {
      const before = pools.pop();
      pool = { sum: before.sum + pool.sum, size: before.size + pool.size };
    }
    pools.push(pool);
    above += note.height + gap;
  }
  const result = [];
  above = 0;
  for (const pool of pools) {
    for (let i = 0; i < pool.size; i++) {
      above += result.length ? notes[result.length - 1].height + gap : 0;
      result.push(Math.min(latest, Math.max(0, pool.sum / pool.size)) + above);
    }
  }
  return result;
}

/** "LEFT" or "RIGHT" for each mark at centresX (0 to 1): the nearer side, evened out when one side would run past its length. */
export function sides(centresX, heights, gap, length) {
  const result = centresX.map(x => (x < 0.5 ? "LEFT" : "RIGHT"));
  const load = side => heights.reduce((sum, height, i) => sum + (result[i] === side ? height + gap : 0), 0);
  const fuller = load("LEFT") > load("RIGHT") ? "LEFT" : "RIGHT";
  const other = fuller === "LEFT" ? "RIGHT" : "LEFT";
  const movable = centresX
    .map((x, i) => i)
    .filter(i => result[i] === fuller)
    .sort((a, b) => Math.abs(centresX[a] - 0.5) - Math.abs(centresX[b] - 0.5) || a - b);
  for (const i of movable) {
    if (load(fuller) <= length || load(other) + heights[i] + gap > load(fuller)) {
      break;
    }
    result[i] = other;
  }
  return result;
}
