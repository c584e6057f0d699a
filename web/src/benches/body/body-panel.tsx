import {
  BODY_KINDS,
  type Body,
  type BodyTask,
  type BodyKind,
  bodyGuide,
  newBody,
  itemOf,
  withBody,
  withCopiedBody,
  withoutBody,
  withoutDeadAcceptances,
  writeItem,
} from '@splay/core';
import { Plus, Trash2 } from 'lucide-react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { freshId } from '../../client/fresh-id.ts';
import { change, useJobState } from '../../client/job-store.ts';
import { TaskTable } from '../../ui/task-table.tsx';
import { BodyList } from '../../ui/body-list.tsx';
import { Choice } from '../../ui/choice.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { FromLibrary, KeepInLibrary } from '../../ui/library-tools.tsx';
import { MaybeLength } from '../../ui/maybe-length.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { putBody } from '../../ui/put-body.ts';

const KIND_NAMES: Readonly<Record<BodyKind, string>> = { cab: 'cab', bed: 'bed', box: 'box', other: 'other' };

/** The drawer that answers what is asked. */
const DRAWER: Readonly<Record<BodyTask['id'], string>> = {
  openings: 'openings',
  mounts: 'mounts',
  underside: 'boxes',
  boxes: 'boxes',
  fenders: 'fenders',
  weights: 'weights',
  outline: 'outline',
};

/** What of a body may be left empty where nobody measured it. */
const SIZES = [
  ['front', 'Front end, from the tape'],
  ['rear', 'Rear end (back of a cab)'],
  ['width', 'Wide over all'],
  ['gapAhead', 'Gap wanted ahead of it'],
  ['tireGap', 'Gap wanted round a tire'],
] as const;

/** The parts that go on the frame, what to measure next on the one at hand, and its name. */
export function BodyPanel(bench: BenchProps) {
  const { store, job, canWrite, selected, onSelect } = bench;
  const body = selectedBody(job.bodies, selected);
  const add = (kind: BodyKind) => {
    const id = freshId('body');
    const name = `${kind === 'other' ? 'Body' : kind.charAt(0).toUpperCase() + kind.slice(1)}${job.bodies.length > 0 ? ` ${job.bodies.length + 1}` : ''}`;
    change(store, 'Added a body', (old) => withBody(old, { ...newBody(id, name), kind }));
    onSelect(id);
  };
  return (
    <>
      {job.bodies.length > 0 && (
        <BodyList
          bodies={job.bodies.map((one) => ({ body: one, note: KIND_NAMES[one.kind] }))}
          at={body}
          onPick={onSelect}
        />
      )}
      {!body && (
        <p className="mb-3">
          Nothing goes on this frame yet. Add the body, or each part that is placed by itself: the cab, the bed, the
          box.
        </p>
      )}
      {canWrite && (
        <label className="mt-2 flex items-center gap-2">
          <Plus size={16} aria-hidden="true" />
          <span className="sr-only">Add a body</span>
          <select className="field" value="" onChange={({ target }) => add(target.value as BodyKind)}>
            <option value="">Add a body, or a part of one …</option>
            {BODY_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {KIND_NAMES[kind]}
              </option>
            ))}
          </select>
        </label>
      )}
      {canWrite && (
        <div className="mt-2">
          <FromLibrary
            kind="body"
            label="Copy a body from the library"
            onPick={(item) => {
              if (item.kind !== 'body') return;
              const { job: larger, id } = withCopiedBody(job, item.item, item.from, freshId);
              const copy = larger.bodies.find((one) => one.id === id);
              if (!copy) return;
              change(store, `Copied ${copy.name} from the library`, (old) => withBody(old, copy));
              onSelect(id);
            }}
          />
        </div>
      )}
      {body && <OneBody key={body.id} bench={bench} body={body} />}
    </>
  );
}

function OneBody({ bench, body }: { readonly bench: BenchProps; readonly body: Body }) {
  const { store, job, canWrite } = bench;
  const disabled = !canWrite;
  const asks = bodyGuide(body, job.display);
  const jobId = useJobState(store, ({ id }) => id);
  const put = (next: Partial<Body>) => putBody(bench, 'Edited the body', { ...body, ...next }, '');
  return (
    <>
      <PanelHeading>Measure on it</PanelHeading>
      <p className="mb-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
        <Verdict kind="warn">
          Brace the door and wheel openings before the bolts come out: a loose body springs, and is measured wrong.
          Nobody stands under a body on a crane.
        </Verdict>
      </p>
      <TaskTable
        caption={`What to measure on ${body.name}, in order`}
        asks={asks}
        onPick={({ id }) => store.setState({ drawer: DRAWER[id] })}
      />
      <p className="mt-3">
        <a className="button" href={`/print/${jobId}/body`} target="_blank" rel="noreferrer">
          Blank body sheet
        </a>
      </p>
      <PanelHeading>Which it is</PanelHeading>
      <div className="space-y-2">
        <TextField label="Name" value={body.name} disabled={disabled} onChange={(name) => put({ name })} />
        <Choice
          label="Kind"
          value={body.kind}
          disabled={disabled}
          list
          choices={BODY_KINDS.map((kind) => [kind, KIND_NAMES[kind]] as const)}
          onChange={(kind) => put({ kind })}
        />
        <div className="grid grid-cols-2 gap-2">
          {SIZES.map(([key, label]) => (
            <MaybeLength
              key={key}
              label={label}
              mm={body[key]}
              format={job.display}
              disabled={disabled}
              onChange={(mm) => {
                const { [key]: _, ...rest } = body;
                const wrong = putBody(
                  bench,
                  'Edited the body',
                  (mm === undefined ? rest : { ...body, [key]: mm }) as Body,
                  '',
                );
                return wrong.elsewhere || (wrong.cells[0]?.message ?? '');
              }}
            />
          ))}
        </div>
        {body.copiedFrom && <p className="text-sm text-pencil">Copied from {body.copiedFrom}, out of the library.</p>}
        {!disabled && <KeepInLibrary what={body.name} textOf={() => writeItem(itemOf(job, body))} />}
        {!disabled && (
          <button
            type="button"
            className="button flex items-center gap-2"
            onClick={() =>
              change(store, `Took ${body.name} off the job`, (old) => withoutDeadAcceptances(withoutBody(old, body.id)))
            }
          >
            <Trash2 size={16} aria-hidden="true" /> Take {body.name} off the job
          </button>
        )}
      </div>
    </>
  );
}
