import { InputError } from '../input-error.ts';
import type { Heat, HeatedWall, WallPlace } from './heated-wall.ts';
import { type Line, readyLine, stepLine } from './line-solver.ts';
import { between, edgesAlong, type Mesh, shares, USUAL_MESH } from './mesh.ts';

const STEFAN_BOLTZMANN = 5.670374419e-8;
const KELVIN = 273.15;
/** Steps, in the time that heat takes through a cell: while a stitch burns and for so many seconds after it, and later. */
const STEP_HEATED = 0.5;
const STEP_COOLING = 2;
const SOON = 20;
/** A wall that takes longer than this to cool was given figures that no shop has, s. */
const LONGEST_WAIT = 6 * 3600;

/** How warm a wall is, and how it goes on from there. */
export class WarmWall {
  readonly wall: HeatedWall;
  /** Edges of the cells along the rail and along the seam, mm. */
  private readonly xs: Float64Array;
  private readonly ss: Float64Array;
  private readonly temperatures: Float64Array;
  private readonly room: Float64Array;
  private readonly thicknesses: Float64Array;
  private readonly lengthwise: Line;
  private readonly crosswise: Line;
  /** How long heat takes through one cell, s. */
  private readonly cellTime: number;
  private clock = 0;
  /** When it was heated last, s. */
  private heated = -Infinity;

  /**
   * A wall as warm as its surroundings.
   *
   * @param wall The wall; sizes above 0.
   * @param seams Places along the rail where it is welded, mm: the cells are finest there.
   * @param mesh How finely it is divided.
   * @throws InputError for a wall without a size, or steel that conducts or stores nothing.
   */
  constructor(wall: HeatedWall, seams: readonly number[], mesh: Mesh = USUAL_MESH) {
    this.wall = wall;
    const { length, around, steel, thickness } = wall;
    const figures = [length, around, steel.density, steel.specificHeat, steel.conductivity, mesh.cell];
    if (figures.some((figure) => !(figure > 0)))
      throw new InputError([
        {
          code: 'weld/wall',
          path: 'wall',
          message: 'A wall that is heated needs a size, and steel its figures above 0.',
        },
      ]);
    this.xs = edgesAlong(length, seams, mesh);
    const rows = Math.max(3, Math.round(around / mesh.cell));
    this.ss = Float64Array.from({ length: rows + 1 }, (_, at) => (around * at) / rows);
    const thick = (s: number) =>
      typeof thickness === 'number'
        ? thickness
        : (thickness.find(({ to }) => s <= to) ?? thickness.at(-1) ?? { thickness: 0 }).thickness;
    this.thicknesses = Float64Array.from({ length: rows }, (_, at) =>
      thick(((this.ss[at] as number) + (this.ss[at + 1] as number)) / 2),
    );
    if (this.thicknesses.some((each) => !(each > 0)))
      throw new InputError([
        { code: 'weld/wall', path: 'wall.thickness', message: 'A wall needs a thickness above 0.' },
      ]);
    this.temperatures = new Float64Array(this.columns * rows).fill(wall.loss.ambient);
    this.room = new Float64Array(Math.max(this.columns, rows));
    const spread = (steel.conductivity / (steel.density * steel.specificHeat)) * 1e6;
    const along = (column: number, other: number) =>
      other < 0 || other >= this.columns
        ? 0
        : spread / (((this.width(column) + this.width(other)) / 2) * this.width(column));
    const across = (row: number, other: number) => {
      const neighbor = wall.closed ? (other + rows) % rows : other;
      if (neighbor < 0 || neighbor >= rows) return 0;
      const [own, others] = [this.thicknesses[row] as number, this.thicknesses[neighbor] as number];
      // Half of the way is through this wall and half through its neighbor's.
      return (spread * ((2 * others) / (own + others))) / this.height(row) ** 2;
    };
    const line = (count: number, rate: (at: number, other: number) => number, closed: boolean): Line => ({
      before: Float64Array.from({ length: count }, (_, at) => rate(at, at - 1)),
      after: Float64Array.from({ length: count }, (_, at) => rate(at, at + 1)),
      closed,
    });
    this.lengthwise = line(this.columns, along, false);
    this.crosswise = line(rows, across, wall.closed);
    this.cellTime = mesh.cell ** 2 / spread;
  }

  /** Seconds since the wall was cold. */
  get time(): number {
    return this.clock;
  }

  /** Another wall, as warm as this one, that goes its own way. */
  copy(): WarmWall {
    const other = Object.create(WarmWall.prototype) as WarmWall;
    return Object.assign(other, this, {
      temperatures: this.temperatures.slice(),
      room: new Float64Array(this.room.length),
    });
  }

  /**
   * The temperature at a place, °C: between the middles of the cells about it.
   *
   * @param x Along the rail, mm.
   * @param s Along the seam, mm.
   */
  at(x: number, s: number): number {
    const [column, right] = between(this.xs, x);
    const { rows, columns, temperatures, wall } = this;
    const value = (c: number, r: number) => temperatures[Math.min(c, columns - 1) * rows + r] as number;
    const along = (r: number) => value(column, r) * (1 - right) + value(column + 1, r) * right;
    const from = s / this.height(0) - 0.5;
    const row = Math.floor(from);
    const up = from - row;
    // Beyond the middle of the first and of the last row: round the corner of a closed wall, or up to its edge.
    const within = (r: number) => (wall.closed ? (r + rows) % rows : Math.max(0, Math.min(rows - 1, r)));
    return along(within(row)) * (1 - up) + along(within(row + 1)) * up;
  }

  /** The hottest place of the wall, °C. */
  get hottest(): number {
    let most = -Infinity;
    for (const each of this.temperatures) if (each > most) most = each;
    return most;
  }

  /** Heat that the wall holds above its surroundings, J. */
  get held(): number {
    const { density, specificHeat } = this.wall.steel;
    const { rows } = this;
    return this.temperatures.reduce((sum, each, at) => {
      const [c, r] = [Math.floor(at / rows), at % rows];
      const area = this.width(c) * this.height(r);
      const volume = area * (this.thicknesses[r] as number) * 1e-9;
      return sum + density * specificHeat * volume * (each - this.wall.loss.ambient);
    }, 0);
  }

  /**
   * Goes on to a moment.
   *
   * @param until s; one that is past already changes nothing.
   * @param heats What heats the wall meanwhile.
   */
  runTo(until: number, heats: readonly Heat[] = []): void {
    while (this.clock < until - 1e-9) {
      this.step(Math.min(this.pace(heats), until - this.clock), heats);
    }
  }

  /**
   * How long it takes until a place is below a temperature for good, s: to the last moment at which it is above.
   *
   * @param x Along the rail, mm.
   * @param s Along the seam, mm.
   * @param limit °C, above the surroundings.
   * @throws InputError for a limit that the steel never cools to.
   */
  waitFor(x: number, s: number, limit: number): number {
    if (limit <= this.wall.loss.ambient)
      throw new InputError([
        {
          code: 'weld/limit',
          path: 'limit',
          message: 'The limit for starting a stitch must be above the temperature of the shop.',
        },
      ]);
    const ahead = this.copy();
    const start = ahead.clock;
    let last = 0;
    let before = ahead.at(x, s);
    // A neighbor may warm the place up again: only when the whole wall is below the limit is it below for good.
    while (ahead.hottest > limit) {
      const from = ahead.clock;
      ahead.step(ahead.pace([]), []);
      const now = ahead.at(x, s);
      if (now > limit) last = ahead.clock - start;
      else if (before > limit) last = from - start + ((ahead.clock - from) * (before - limit)) / (before - now);
      before = now;
      if (ahead.clock - start > LONGEST_WAIT)
        throw new InputError([
          { code: 'weld/limit', path: 'limit', message: 'The steel takes hours to cool to this limit: raise it.' },
        ]);
    }
    return last;
  }

  private get columns(): number {
    return this.xs.length - 1;
  }

  private get rows(): number {
    return this.ss.length - 1;
  }

  private width(column: number): number {
    return (this.xs[column + 1] as number) - (this.xs[column] as number);
  }

  private height(row: number): number {
    return (this.ss[row + 1] as number) - (this.ss[row] as number);
  }

  /** How long a step may be now, s: short while it is heated and soon after, longer as it evens out. */
  private pace(heats: readonly Heat[]): number {
    const burning = heats.some(({ start, seconds }) => start + seconds > this.clock && start <= this.clock);
    const lately = this.clock - this.heated < SOON;
    const next = heats.reduce((least, { start }) => (start > this.clock ? Math.min(least, start) : least), Infinity);
    const step = (burning || lately ? STEP_HEATED : STEP_COOLING) * this.cellTime;
    return Math.min(step, next - this.clock);
  }

  /** One step: half of what comes in and of what is lost, conduction along the rail and round the wall, the other half. */
  private step(seconds: number, heats: readonly Heat[]): void {
    for (const heat of heats) this.lay(heat, seconds);
    this.lose(seconds / 2);
    const { rows, columns, temperatures: t, room } = this;
    const along = readyLine(this.lengthwise, seconds);
    const line = new Float64Array(columns);
    for (let r = 0; r < rows; r += 1) {
      for (let c = 0; c < columns; c += 1) line[c] = t[c * rows + r] as number;
      stepLine(this.lengthwise, along, line, room);
      for (let c = 0; c < columns; c += 1) t[c * rows + r] = line[c] as number;
    }
    const round = readyLine(this.crosswise, seconds);
    for (let c = 0; c < columns; c += 1) stepLine(this.crosswise, round, t.subarray(c * rows, (c + 1) * rows), room);
    this.lose(seconds / 2);
    for (const heat of heats) this.lay(heat, seconds);
    this.clock += seconds;
  }

  /** What both faces give off to the air and radiate, as much again as at the end of the stretch. */
  private lose(seconds: number): void {
    const { loss, steel } = this.wall;
    const { temperatures: t, rows, thicknesses } = this;
    const around = loss.ambient + KELVIN;
    const radiated = STEFAN_BOLTZMANN * loss.emissivity;
    for (let r = 0; r < rows; r += 1) {
      const half =
        (loss.faces * seconds) / (2 * steel.density * steel.specificHeat * 1e-3 * (thicknesses[r] as number));
      for (let at = r; at < t.length; at += rows) {
        const kelvin = (t[at] as number) + KELVIN;
        const rate = half * (loss.film + radiated * (kelvin * kelvin + around * around) * (kelvin + around));
        t[at] = loss.ambient + ((kelvin - around) * (1 - rate)) / (1 + rate);
      }
    }
  }

  /** Lays half of what a stitch brings in during a step on the cells it goes over. */
  private lay({ from, to, band, start, seconds, energy }: Heat, step: number): void {
    const [begin, end] = [Math.max(this.clock, start), Math.min(this.clock + step, start + seconds)];
    if (end <= begin) return;
    this.heated = this.clock + step;
    const place = (axis: keyof WallPlace, time: number) =>
      from[axis] + ((to[axis] - from[axis]) * (time - start)) / seconds;
    const lengthwise = Math.abs(to.x - from.x) > Math.abs(to.s - from.s);
    /** What is heated in this step: as far as the arc gets along its line, and the band across it. */
    const stretch = (axis: keyof WallPlace): readonly [number, number] => {
      const [a, b] = [place(axis, begin), place(axis, end)];
      const middle = (a + b) / 2;
      return (axis === 'x') === lengthwise ? [Math.min(a, b), Math.max(a, b)] : [middle - band / 2, middle + band / 2];
    };
    const across = shares(this.xs, stretch('x'));
    const round = shares(this.ss, stretch('s'));
    const joules = (energy * (end - begin)) / seconds / 2;
    const { density, specificHeat } = this.wall.steel;
    for (const [c, ofColumn] of across)
      for (const [r, ofRow] of round) {
        const volume = this.width(c) * this.height(r) * (this.thicknesses[r] as number) * 1e-9;
        const at = c * this.rows + r;
        this.temperatures[at] =
          (this.temperatures[at] as number) + (joules * ofColumn * ofRow) / (density * specificHeat * volume);
      }
  }
}
