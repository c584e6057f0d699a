import type { Job, ShopRecord } from '@splay/core';
import type { BenchParts } from '../src/client/bench.ts';
import { useJobState } from '../src/client/job-store.ts';
import { asked, benchOf } from './bench.ts';
import { openStore } from './demo.ts';
import { picture } from './picture.ts';
import { render } from './page.ts';

interface Opening {
  readonly records?: readonly ShopRecord[];
  readonly selected?: string;
  readonly canWrite?: boolean;
  /** What slides over the tray. */
  readonly drawer?: string;
}

/** A bench on the page as the workbench shows it: its panel, its picture, what slides over that, and its phone view. */
export function openBench(
  { Panel, Tray, Floor, Under, Over, drawers }: BenchParts,
  job: Job,
  { records = [], selected = '', canWrite = true, drawer }: Opening = {},
  shown: 'desk' | 'hand' = 'desk',
) {
  const store = openStore(job, records, canWrite);
  store.setState({ selected: selected || null, drawer: drawer ?? null });
  const heard = asked();
  function Workbench() {
    const state = useJobState(store, (whole) => ({
      job: whole.job,
      records: whole.records,
      selected: whole.selected,
      canWrite: whole.canWrite,
      canRecord: whole.canRecord,
      drawer: whole.drawer,
    }));
    const bench = {
      ...benchOf(state.job, state.records, store),
      ...state,
      ...heard,
      onSelect: (id: string | null) => store.setState({ selected: id }),
    };
    if (shown === 'hand') return <Floor {...bench} />;
    const Content = state.drawer === null ? undefined : drawers[state.drawer]?.Content;
    const drawn = picture(bench);
    return (
      <>
        <svg>
          {Under && <Under {...drawn} />}
          {Over && <Over {...drawn} />}
        </svg>
        <Tray {...drawn} />
        <aside>
          <Panel {...bench} />
        </aside>
        {Content && (
          <section aria-label="Drawer">
            <Content {...bench} />
          </section>
        )}
      </>
    );
  }
  render(<Workbench />);
  return { store, asked: heard, now: () => store.getState().job, done: () => store.getState().labels };
}
