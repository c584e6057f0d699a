import type { HoldPointId, JobProgress } from '@splay/core';
import { use, useMemo, useState } from 'react';
import { Board } from '../board/board.tsx';
import { Hatches } from '../board/hatches.tsx';
import type { BenchParts, PinnedLayer } from '../client/bench.ts';
import type { BenchProps } from '../client/bench-props.ts';
import { createJobStore, type JobStart, type JobStore, useJobState } from '../client/job-store.ts';
import { useSolidChecking } from '../client/solid-check.ts';
import { lazyComponent } from '../client/lazy-component.tsx';
import { workbenchActions } from './actions.ts';
import { Beside } from './beside.tsx';
import { BENCHES, benchOf, partsOf } from './benches.ts';
import type { OpenDialog } from './dialogs.tsx';
import { Drawn } from './drawn.ts';
import { Header } from './header.tsx';
import { useBench } from './use-bench.ts';
import { useKeys } from './use-keys.ts';
import { useScreen } from './use-screen.ts';
import { useAddress, useServer } from './use-server.ts';
import { useStands } from '../ui/use-stands.ts';
import { Waits } from '../ui/waits.tsx';

// The board is loaded first, then what is beside it, and what is not in sight when it is asked for.
const Ledger = lazyComponent(() => import('./ledger.tsx').then((file) => file.Ledger));
const PhaseBar = lazyComponent(() => import('./phase-bar.tsx').then((file) => file.PhaseBar));
const PhaseRail = lazyComponent(() => import('./phase-rail.tsx').then((file) => file.PhaseRail));
const BoardTable = lazyComponent<BenchProps>(() => import('../board/board-table.tsx').then((file) => file.BoardTable));
const Dialogs = lazyComponent(() => import('./dialogs.tsx').then((file) => file.Dialogs));
const FloorView = lazyComponent(() => import('./floor-view.tsx').then((file) => file.FloorView));
const HoldPointDialog = lazyComponent(() => import('./hold-point-dialog.tsx').then((file) => file.HoldPointDialog));
const LookAround = lazyComponent(() => import('../board/look-around.tsx').then((file) => file.LookAround));
const MeasureBar = lazyComponent(() => import('./measure-bar.tsx').then((file) => file.MeasureBar));
const NewsBar = lazyComponent(() => import('./news-bar.tsx').then((file) => file.NewsBar));
const RulesNotice = lazyComponent(() => import('./rules-notice.tsx').then((file) => file.RulesNotice));
const WholeDrawing = lazyComponent(() => import('./whole-drawing.tsx').then((file) => file.WholeDrawing));
const ThreadCard = lazyComponent(() => import('./thread-card.tsx').then((file) => file.ThreadCard));

/** Every bench has its drawing as tables, beside what it brings of its own. */
const withTable = (parts: BenchParts): BenchParts => ({
  ...parts,
  drawers: { ...parts.drawers, table: { name: 'Table', Content: BoardTable } },
});

/** The layers kept from other benches, where the board shows the frame that they lie on. */
function usePinned(pinned: readonly string[], bench: string): readonly PinnedLayer[] {
  const { shows } = benchOf(bench);
  const kept = Object.entries(BENCHES).filter(([id, of]) => id !== bench && of.shows === shows && pinned.includes(id));
  return kept.map(([id, { name }]) => ({ bench: id, name, parts: use(partsOf(id)) }));
}

/** Whether there is something that has to be answered: two people changed the same fields. */
const useAsks = (store: JobStore): boolean => useJobState(store, ({ saveState }) => saveState === 'stale');

/** Whether somebody else changed something that was not read yet. */
const useNews = (store: JobStore): boolean => useJobState(store, ({ news }) => news !== null);

/** One open job: the order of work, the board, the bench at hand, and the figures that matter. */
export default function Workbench(start: JobStart) {
  const [store] = useState<JobStore>(() => {
    const opened = createJobStore(start);
    opened.setState({ drawer: location.hash.slice(1) || null });
    return opened;
  });
  const server = useServer(store);
  useAddress(store);
  const name = useJobState(store, ({ job }) => job.name);
  return (
    <Waits
      place={
        <p className="heading flex h-dvh items-center justify-center text-2xl" role="status">
          Laying out {name} …
        </p>
      }
    >
      <OpenJob store={store} server={server} />
    </Waits>
  );
}

interface OpenJobProps {
  readonly store: JobStore;
  readonly server: Pick<BenchProps, 'onRecord' | 'onDropRecord'>;
}

function OpenJob({ store, server }: OpenJobProps) {
  const actions = useMemo(() => workbenchActions(store), [store]);
  useSolidChecking(store);
  const { state, bench } = useBench(store, server, actions);
  const { job, whole, result } = bench;
  const definition = benchOf(state.bench);
  const loaded = use(partsOf(state.bench));
  const parts = useMemo(() => withTable(loaded), [loaded]);
  const layers = usePinned(state.pinned, state.bench);
  const screen = useScreen();
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const [wholeDrawing, setWholeDrawing] = useState(false);
  const [holdPointId, setHoldPointId] = useState<HoldPointId | null>(null);
  // The board stands first; what is beside it follows at once.
  const boardStands = useStands();
  const asks = useAsks(store);
  const newsBar = useNews(store) && (
    <Waits>
      <NewsBar store={store} actions={actions} />
    </Waits>
  );

  useKeys({ store, result, parts, onDialog: setDialog, actions });

  const opened = state.drawer === null ? undefined : parts.drawers[state.drawer];
  const drawer =
    state.drawer !== null && opened
      ? {
          id: state.drawer,
          content: (
            <Waits key={state.drawer}>
              <opened.Content {...bench} />
            </Waits>
          ),
        }
      : null;
  // How far the work has come is told of what was made, not of what is only shown while it is dragged.
  const beside = { job: state.made, records: state.records, stands: boardStands };
  const overlays = (
    <>
      <Waits>
        {(dialog !== null || asks) && (
          <Dialogs
            store={store}
            open={dialog}
            result={result}
            parts={parts}
            actions={actions}
            onRecord={server.onRecord}
            onDialog={setDialog}
            onClose={() => setDialog(null)}
          />
        )}
      </Waits>
      {holdPointId !== null && (
        <Beside {...beside} stands>
          {({ holdPoints }) => {
            const holdPoint = holdPoints.find(({ id }) => id === holdPointId);
            return (
              holdPoint && (
                <HoldPointDialog
                  {...bench}
                  holdPoint={holdPoint}
                  onBench={actions.onBench}
                  onClose={() => setHoldPointId(null)}
                />
              )
            );
          }}
        </Beside>
      )}
    </>
  );
  const { Panel, Floor } = parts;
  const order = ({ done, holdPoints }: JobProgress) => ({
    jobId: state.id,
    bench: state.bench,
    done,
    holdPoints,
    onBench: actions.onBench,
    onHoldPoint: setHoldPointId,
  });
  const drawing = (
    <Waits>
      <Drawn
        bench={bench}
        plan={!definition.donorAlone || layers.length > 0 || state.lookingAround}
        onPick={actions.onPick}
      >
        {(drawn) =>
          state.lookingAround ? (
            <LookAround bench={drawn} />
          ) : (
            <Board
              bench={drawn}
              actions={actions}
              parts={parts}
              title={definition.name}
              shows={definition.shows}
              showBefore={state.showBefore}
              measurement={state.measurement}
              look={state.look}
              thread={state.thread}
              pinned={layers}
              kept={state.pinned.includes(state.bench)}
              drawer={drawer}
              onDrawer={actions.onDrawer}
              onPin={actions.onPin}
              onCenter={actions.onCenter}
            />
          )
        }
      </Drawn>
    </Waits>
  );
  if (screen === 'hand' && wholeDrawing)
    return (
      <>
        <Hatches />
        <WholeDrawing name={job.name} onClose={() => setWholeDrawing(false)}>
          {drawing}
        </WholeDrawing>
        {overlays}
      </>
    );
  if (screen === 'hand')
    return (
      <>
        <Hatches />
        <Beside {...beside} stands>
          {(progress) => (
            <FloorView {...bench} order={order(progress)} news={newsBar} onDrawing={() => setWholeDrawing(true)}>
              <Waits key={state.bench}>
                <Floor {...bench} />
              </Waits>
            </FloorView>
          )}
        </Beside>
        {overlays}
      </>
    );
  return (
    <div className="flex h-dvh overflow-hidden">
      <a href="#panel" className="skip-link">
        Skip to the bench
      </a>
      <Hatches />
      {screen === 'desk' && (
        <Beside
          {...beside}
          place={<div className="w-34 shrink-0 border-r border-graphite bg-bench min-[1180px]:w-38" />}
        >
          {(progress) => <PhaseRail {...order(progress)} cuts={job.plan.operations.length} />}
        </Beside>
      )}
      <div className="flex min-w-0 flex-1 flex-col">
        <Header
          store={store}
          onDialog={setDialog}
          onHold={actions.onHold}
          onMeasure={actions.onMeasure}
          onLookAround={actions.onLookAround}
        />
        {newsBar}
        <Waits>{state.measuring !== null && <MeasureBar store={store} result={result} format={job.display} />}</Waits>
        <main className={`flex min-h-0 flex-1 ${screen === 'desk' ? '' : 'flex-col'}`}>
          {drawing}
          <aside
            id="panel"
            tabIndex={-1}
            aria-busy={!boardStands}
            aria-label={definition.name}
            className={`pane shrink-0 overflow-y-auto border-graphite bg-sheet px-4 py-3 ${screen === 'desk' ? 'w-[19.5rem] border-l' : 'h-[34%] border-t'}`}
          >
            {state.thread ? (
              <Waits>
                <ThreadCard figure={state.thread} job={job} whole={whole} actions={actions} />
              </Waits>
            ) : (
              <>
                <h2 className="heading text-2xl leading-none">{definition.name}</h2>
                <p className="mb-3 text-sm text-pencil">{definition.sentence}</p>
                {job.rules.from && (
                  <Waits>
                    <RulesNotice key={job.rules.from.version} job={job} onOpen={() => setDialog('rules')} />
                  </Waits>
                )}
                <Waits key={state.bench}>{boardStands && <Panel {...bench} />}</Waits>
              </>
            )}
          </aside>
        </main>
        <Beside {...beside} place={<div className="h-[4.6rem] shrink-0 bg-night short:h-[3.2rem]" />}>
          {({ holdPoints }) => (
            <Ledger
              job={job}
              whole={whole}
              holdPoints={holdPoints}
              figures={definition.figures}
              showBefore={state.showBefore}
              thread={state.thread}
              onThread={actions.onThread}
              onHoldPoint={setHoldPointId}
            />
          )}
        </Beside>
        {screen === 'tablet' && (
          <Beside
            {...beside}
            place={
              <div className="h-[calc(3.5rem+1px)] shrink-0 border-t border-graphite bg-bench low:h-[calc(3rem+1px)]" />
            }
          >
            {(progress) => <PhaseBar {...order(progress)} />}
          </Beside>
        )}
      </div>
      {overlays}
    </div>
  );
}
