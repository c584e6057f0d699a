import type { Box, Manifold, ManifoldToplevel, Mat4, Vec3 as Triple } from 'manifold-3d';

/** The mesh boolean kernel: WebAssembly, loaded only where solids are asked for. */
export type Kernel = ManifoldToplevel;
export type { Manifold, Mat4, Triple };

let loading: Promise<Kernel> | null = null;

/**
 * The kernel, loaded once.
 *
 * @param locate Where its WebAssembly is served from; without it, beside the package.
 */
export const loadKernel = (locate?: string): Promise<Kernel> =>
  (loading ??= import('manifold-3d').then(async ({ default: start }) => {
    const kernel = await start(locate === undefined ? undefined : { locateFile: () => locate });
    kernel.setup();
    // Curves of tubes and holes: a circle of so many sides has its area to 1 part in 1000.
    kernel.setCircularSegments(CIRCLE);
    return kernel;
  }));

/** Sides of a circle. */
export const CIRCLE = 80;

/** Holds what the kernel made for one question, so that all of it is given back when the question is answered. */
export class Workshop {
  readonly kernel: Kernel;
  readonly #made: { delete(): void }[] = [];
  readonly #boxes = new Map<Manifold, Box>();

  constructor(kernel: Kernel) {
    this.kernel = kernel;
  }

  /** Takes charge of something the kernel made. */
  own<T extends { delete(): void }>(made: T): T {
    this.#made.push(made);
    return made;
  }

  /** The bounding box of a solid, asked of the kernel once: every pair of solids is looked at by theirs first. */
  boxOf(solid: Manifold): Box {
    const box = this.#boxes.get(solid) ?? solid.boundingBox();
    this.#boxes.set(solid, box);
    return box;
  }

  /** Whether the bounding boxes of two solids overlap by more than a depth, mm, along each axis. */
  boxesMeet(a: Manifold, b: Manifold, deeper = 0): boolean {
    const [p, q] = [this.boxOf(a), this.boxOf(b)];
    return ([0, 1, 2] as const).every(
      (axis) => p.max[axis] - q.min[axis] > deeper && q.max[axis] - p.min[axis] > deeper,
    );
  }

  /** Gives everything back to the kernel. */
  clear(): void {
    this.#boxes.clear();
    for (const made of this.#made.splice(0)) made.delete();
  }
}

/**
 * Answers a question with solids and gives them back afterward.
 *
 * @param kernel The kernel.
 * @param work What is asked; nothing of its solids may be kept.
 */
export function inWorkshop<T>(kernel: Kernel, work: (workshop: Workshop) => T): T {
  const workshop = new Workshop(kernel);
  try {
    return work(workshop);
  } finally {
    workshop.clear();
  }
}

/**
 * The smallest convex solid that holds these corners.
 *
 * @param workshop Holds what is made.
 * @param corners In the coordinates that the solid is wanted in, mm.
 */
export const hull = (
  workshop: Workshop,
  corners: readonly { readonly x: number; readonly y: number; readonly z: number }[],
): Manifold => workshop.own(workshop.kernel.Manifold.hull(corners.map(({ x, y, z }): Triple => [x, y, z])));
