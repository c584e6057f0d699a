import { dotted, kindsFor, nameOfKind, operationName, type PlanResult } from '@splay/core';
import { Command } from 'cmdk';
import { addOperation } from '../benches/cuts/add-operation.ts';
import type { BenchParts } from '../client/bench.ts';
import { type JobStore, redo, undo } from '../client/job-store.ts';
import type { WorkbenchActions } from './actions.ts';
import { BENCHES } from './benches.ts';
import type { OpenDialog } from './dialogs.tsx';
import { findScore } from './find-score.ts';

interface PaletteProps {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly parts: BenchParts;
  readonly actions: WorkbenchActions;
  readonly onDialog: (dialog: OpenDialog | null) => void;
}

/** Groups of what stands on the frame: found before what can be done. */
const ON_FRAME: ReadonlySet<string> = new Set(['On the frame', 'To decide', 'Measurements']);

interface Entry {
  readonly name: string;
  readonly hint?: string;
  readonly run: () => void;
}

/** What can be done, and what is on the frame, in groups. */
function entriesOf({ store, result, parts, actions, onDialog }: PaletteProps) {
  const { job, canWrite, bench } = store.getState();
  const place = (built: number | null, id: string) => () => {
    if (built !== null) actions.onLook(built, id);
    actions.onSelect(id);
  };
  const groups: Readonly<Record<string, readonly Entry[]>> = {
    'Go to': Object.entries(BENCHES).map(([id, { name, sentence }]) => ({
      name,
      hint: sentence,
      run: () => actions.onBench(id),
    })),
    Open: Object.entries(parts.drawers).map(([id, { name }]) => ({
      name: `${name}, ${BENCHES[bench]?.name}`,
      run: () => actions.onDrawer(id),
    })),
    Do: [
      ...(canWrite
        ? [
            { name: 'Undo', hint: 'Ctrl Z', run: () => undo(store) },
            { name: 'Redo', hint: 'Ctrl Shift Z', run: () => redo(store) },
          ]
        : []),
      { name: 'Measure between two things', hint: 'M', run: actions.onMeasure },
      { name: 'Look around, in space', run: actions.onLookAround },
      { name: 'Go to a station', hint: 'G', run: () => onDialog('station') },
      { name: 'Rulebook of this job', run: () => onDialog('rules') },
      { name: 'Hand over: who is next, what changed today', run: () => onDialog('handoff') },
      { name: 'History of this job', run: () => onDialog('history') },
      { name: 'Keys', hint: '?', run: () => onDialog('keys') },
    ],
    ...(canWrite && {
      'New operation': kindsFor(job.donor).map((kind) => ({
        name: nameOfKind(kind),
        run: () => {
          actions.onBench('cuts');
          addOperation(store, result, kind);
        },
      })),
    }),
    'To decide': result.conflicts.map((conflict) => ({
      name: conflict.message,
      run: () => {
        actions.onBench('cuts');
        actions.onPickConflict(conflict);
      },
    })),
    'On the frame': [
      ...result.operations.map(({ operation, letters }) => ({
        name: `${dotted(letters)} ${operationName(operation)}`.trim(),
        run: place(result.joints.find((joint) => joint.operation === operation.id)?.builtX ?? null, operation.id),
      })),
      ...result.features.map(({ feature: { id, name }, places }) => ({
        name,
        run: place((places.left ?? places.right)?.built?.x ?? null, id),
      })),
      ...result.crossmembers.map(({ crossmember: { id, name }, built }) => ({
        name,
        run: place(built?.x ?? null, id),
      })),
    ],
    Measurements: result.controls.map(({ measurement, name }) => ({
      name,
      run: () => {
        actions.onBench('true-up');
        actions.onSelect(measurement.id);
      },
    })),
  };
  return groups;
}

/** Everything that a key or a button can do, and everything on the frame, found by typing a part of its name. */
export function Palette(props: PaletteProps) {
  const { onDialog } = props;
  return (
    <Command.Dialog
      open
      label="Find anything"
      className="flex min-h-0 flex-1 flex-col"
      filter={(value, typed, keywords) => {
        const [group = '', name = ''] = value.split('\t');
        // What a group is called counts as a hint: “Go to Cuts”.
        return findScore(name, typed, ON_FRAME.has(group), [group, ...(keywords ?? [])].join(' '));
      }}
      onOpenChange={(open) => !open && onDialog(null)}
      overlayClassName="fixed inset-0 z-40 bg-graphite/40"
      contentClassName="fixed top-[12vh] left-1/2 z-50 flex max-h-[76vh] w-[min(36rem,94vw)] -translate-x-1/2 flex-col border-2 border-graphite bg-sheet"
    >
      <Command.Input
        placeholder="A bench, a bracket, a cut, a word of a conflict …"
        className="min-h-12 w-full shrink-0 border-b border-graphite bg-sheet px-4 text-lg outline-offset-[-3px]"
      />
      <Command.List className="min-h-0 flex-1 overflow-y-auto px-2 pb-2">
        <Command.Empty className="p-3 text-pencil">Nothing is called that.</Command.Empty>
        {Object.entries(entriesOf(props)).map(([heading, entries]) => (
          <Command.Group
            key={heading}
            heading={heading}
            className="[&_[cmdk-group-heading]]:sticky [&_[cmdk-group-heading]]:top-0 [&_[cmdk-group-heading]]:border-b [&_[cmdk-group-heading]]:border-rule [&_[cmdk-group-heading]]:bg-sheet [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:font-label [&_[cmdk-group-heading]]:text-[0.85rem] [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:tracking-wider [&_[cmdk-group-heading]]:text-pencil [&_[cmdk-group-heading]]:uppercase"
          >
            {entries.map(({ name, hint, run }, index) => (
              <Command.Item
                key={`${name}${index}`}
                value={`${heading}\t${name}\t${index}`}
                keywords={hint ? [hint] : []}
                className="flex min-h-9 cursor-pointer items-center justify-between gap-3 px-2 data-[selected=true]:bg-layout-wash"
                onSelect={() => {
                  onDialog(null);
                  run();
                }}
              >
                <span>{name}</span>
                {hint && <span className="text-right text-sm text-pencil">{hint}</span>}
              </Command.Item>
            ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
