/** How fast each cell of a line takes up its neighbors' temperature, 1/s: from the one before it and from the one after it. */
export interface Line {
  readonly before: Float64Array;
  readonly after: Float64Array;
  /** The last cell's neighbor after it is the first. */
  readonly closed: boolean;
}

/** A line made ready for steps of one length: half of a step from where it stands, half to where it goes (Crank and Nicolson). */
export interface ReadyLine {
  readonly half: number;
  /** One over the leads of the elimination, and what each row passes on to the row before it. */
  readonly lead: Float64Array;
  readonly back: Float64Array;
  /** Of a closed line: what its ends do to each other, and by how much. */
  readonly ring: { readonly shape: Float64Array; readonly share: number; readonly by: number } | null;
}

/**
 * Makes a line ready for a step.
 *
 * @param line The line.
 * @param seconds The step.
 */
export function readyLine({ before, after, closed }: Line, seconds: number): ReadyLine {
  const count = before.length;
  const half = seconds / 2;
  const lead = new Float64Array(count);
  const back = new Float64Array(count);
  const ends = closed && count > 2;
  // A closed line is solved as an open one with one correction (Sherman and Morrison).
  const first = -half * (before[0] as number);
  const last = -half * (after[count - 1] as number);
  const gamma = ends ? -(1 + half * ((before[0] as number) + (after[0] as number))) : 1;
  for (let at = 0; at < count; at += 1) {
    const own = 1 + half * ((before[at] as number) + (after[at] as number));
    const changed = ends ? (at === 0 ? own - gamma : at === count - 1 ? own - (first * last) / gamma : own) : own;
    const fromBefore = at > 0 ? half * (before[at] as number) : 0;
    const below = at > 0 ? fromBefore * (back[at - 1] as number) : 0;
    lead[at] = 1 / (changed - below);
    back[at] = half * (after[at] as number) * (lead[at] as number);
  }
  const ready = { half, lead, back, ring: null };
  if (!ends) return ready;
  const shape = new Float64Array(count);
  shape[0] = gamma;
  shape[count - 1] = last;
  solveInPlace({ before, after }, ready, shape);
  const by = first / gamma;
  return { ...ready, ring: { shape, by, share: 1 + (shape[0] as number) + by * (shape[count - 1] as number) } };
}

/** Solves an open line for what it holds, in its place. */
function solveInPlace({ before }: Omit<Line, 'closed'>, { half, lead, back }: ReadyLine, held: Float64Array): void {
  const count = before.length;
  let passed = 0;
  for (let at = 0; at < count; at += 1) {
    passed = ((held[at] as number) + half * (before[at] as number) * (at > 0 ? passed : 0)) * (lead[at] as number);
    held[at] = passed;
  }
  for (let at = count - 2; at >= 0; at -= 1) {
    passed = (held[at] as number) + (back[at] as number) * passed;
    held[at] = passed;
  }
}

/**
 * Takes one line of temperatures a step on, in their place.
 *
 * @param line The line.
 * @param ready The line made ready for the step.
 * @param held The temperatures; as many as the line has cells.
 * @param room At least as much room to work in.
 */
export function stepLine(line: Line, ready: ReadyLine, held: Float64Array, room: Float64Array): void {
  const { before, after, closed } = line;
  const count = held.length;
  if (count < 2) return;
  for (let at = 0; at < count; at += 1) {
    const here = held[at] as number;
    const previous = at > 0 ? (held[at - 1] as number) : closed ? (held[count - 1] as number) : here;
    const next = at + 1 < count ? (held[at + 1] as number) : closed ? (held[0] as number) : here;
    room[at] = here + ready.half * ((before[at] as number) * (previous - here) + (after[at] as number) * (next - here));
  }
  solveInPlace(line, ready, room);
  const { ring } = ready;
  const over = ring ? ((room[0] as number) + ring.by * (room[count - 1] as number)) / ring.share : 0;
  for (let at = 0; at < count; at += 1)
    held[at] = (room[at] as number) - (ring ? over * (ring.shape[at] as number) : 0);
}
