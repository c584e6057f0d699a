import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import PQueue from 'p-queue';
import { Busy } from '../services/errors.ts';

/**
 * Fair use: what takes long is done for few at a time, so that no person holds up a shop, and no shop the others. Somebody's
 * work waits in their own lane first, then in their shop's, and only then for a thread; there, what people wait for with
 * their hands on the keys goes before what they can wait for.
 */

/** Who asks. */
export interface Asker {
  readonly person: string;
  readonly shop: string;
}

/** At once, at most: of a person, of a shop. */
const [OF_PERSON, OF_SHOP] = [2, 4];
/** The most of a person that waits; whoever sends more is asked to come again. */
const MOST_WAITING = 24;

const asking = new AsyncLocalStorage<Asker>();

/** Does something for somebody: what takes long in it waits in their lanes. */
export const askedBy = <T>(asker: Asker, work: () => T): T => asking.run(asker, work);

/** Who the work at hand is done for; nobody where the program does it by itself. */
export const asker = (): Asker | undefined => asking.getStore();

/** Work that waits its turn by how urgent it is, for as many as may go on at once. */
export class Fair {
  readonly #all: PQueue;
  readonly #lanes = new Map<string, PQueue>();

  /** @param most As many go on at once, whoever asks. */
  constructor(most: number) {
    this.#all = new PQueue({ concurrency: most });
  }

  /**
   * Does some work when it is its turn.
   *
   * @param work The work.
   * @param priority The higher, the sooner among what waits.
   * @throws Busy where too much of the same person waits already.
   */
  async run<T>(work: () => Promise<T>, priority = 0): Promise<T> {
    const who = asker();
    // It is begun when somebody else's ends, and is the asker's own all the same.
    const own = AsyncResource.bind(work);
    const last = () => this.#all.add(own, { priority }) as Promise<T>;
    if (!who) return last();
    if (this.#lane(`person ${who.person}`, OF_PERSON).size >= MOST_WAITING) throw new Busy();
    return this.#in(`person ${who.person}`, OF_PERSON, priority, () =>
      this.#in(`shop ${who.shop}`, OF_SHOP, priority, last),
    );
  }

  /** How many lanes there are: none when nothing is being done. */
  get lanes(): number {
    return this.#lanes.size;
  }

  #lane(name: string, most: number): PQueue {
    const lane = this.#lanes.get(name) ?? new PQueue({ concurrency: most });
    this.#lanes.set(name, lane);
    return lane;
  }

  async #in<T>(name: string, most: number, priority: number, work: () => Promise<T>): Promise<T> {
    const lane = this.#lane(name, most);
    try {
      return (await lane.add(work, { priority })) as T;
    } finally {
      if (lane.size === 0 && lane.pending === 0) this.#lanes.delete(name);
    }
  }
}
