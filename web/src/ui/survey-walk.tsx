import { finer, formatLength, type LengthFormat, parseLength } from '@splay/core';
import { ChevronLeft, ChevronRight, Plus, Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Length } from './length.tsx';
import { ThumbEntry } from './thumb-entry.tsx';
import { ThumbLayout } from './thumb-layout.tsx';

/** One figure of a thing that is walked up to, as it is typed; undefined while nobody has measured it. mm. */
export interface SurveyFigure<Doc> {
  readonly name: string;
  readonly mm: number | undefined;
  /** May lie ahead of where is measured from, or below it. */
  readonly signed: boolean;
  /** The document with the figure changed. */
  readonly put: (mm: number) => Doc;
}

/** One thing to walk up to. */
export interface SurveyStop<Doc> {
  readonly id: string;
  readonly name: string;
  /** Its station, mm. */
  readonly x: number;
  readonly figures: readonly SurveyFigure<Doc>[];
  /** The document without it. */
  readonly without: () => Doc;
}

interface SurveyWalkProps<Doc, List extends string> {
  readonly display: LengthFormat;
  readonly canWrite: boolean;
  readonly lists: readonly (readonly [list: List, name: string])[];
  readonly list: List;
  readonly onList: (list: List) => void;
  readonly stopsOf: (doc: Doc | null) => readonly SurveyStop<Doc>[];
  readonly withOneMore: (index: number) => { readonly doc: Doc; readonly id: string };
  /** Takes a changed document, or says what is wrong with it. */
  readonly put: (label: string, doc: Doc) => string;
  readonly onLook: (x: number) => void;
  /** What else there is to say of the thing at hand. */
  readonly children?: (stop: SurveyStop<Doc> | undefined) => ReactNode;
}

/** A walk along something that is measured: one thing at a time, each figure typed with a thumb. */
export function SurveyWalk<Doc, List extends string>({
  display,
  canWrite,
  lists,
  list,
  onList,
  stopsOf,
  withOneMore,
  put,
  onLook,
  children,
}: SurveyWalkProps<Doc, List>) {
  const stops = stopsOf(null);
  const [wanted, setIndex] = useState(0);
  // The list may have got shorter since: undo, or somebody else's change.
  const index = Math.max(0, Math.min(wanted, stops.length - 1));
  const stop = stops[index];
  const [figureIndex, setFigureIndex] = useState(0);
  const figure = stop?.figures[figureIndex];
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');

  const go = (to: number, figureTo = 0) => {
    const at = stops.length === 0 ? 0 : (to + stops.length) % stops.length;
    const there = stops[at];
    if (there) onLook(there.x);
    setIndex(at);
    setFigureIndex(figureTo);
    setText('');
    setProblem('');
  };
  const tried = (label: string, doc: Doc): boolean => {
    const wrong = put(label, doc);
    setProblem(wrong);
    return wrong === '';
  };
  const take = () => {
    if (!stop || !figure) return;
    const read = parseLength(text, display.unit);
    if (!read.ok) return setProblem(read.problem.message);
    const doc = figure.put(read.value);
    if (!tried('Surveyed at the frame', doc)) return;
    // What was typed may have moved it along the frame: stay with it, then go on to its next figure or the next thing.
    const at = stopsOf(doc).findIndex(({ id }) => id === stop.id);
    if (figureIndex + 1 < stop.figures.length) go(at, figureIndex + 1);
    else go(at + 1);
  };
  const add = () => {
    const more = withOneMore(index);
    if (!tried('Added at the frame', more.doc)) return;
    setIndex(stopsOf(more.doc).findIndex(({ id }) => id === more.id));
    setFigureIndex(0);
    setText('');
  };
  const square =
    'flex h-13 w-13 shrink-0 items-center justify-center border border-graphite bg-sheet disabled:border-rule disabled:text-rule';
  const before = figure?.mm === undefined ? '–' : formatLength(figure.mm, finer(display)).text;
  return (
    <ThumbLayout
      entry={
        <ThumbEntry
          text={text}
          before={before}
          problem={problem}
          unit={display.unit}
          minus={figure?.signed ?? false}
          disabled={!canWrite}
          onText={setText}
          onTake={take}
        />
      }
    >
      <div className="flex items-center gap-2">
        <select
          className="field h-13 min-w-0 text-base"
          aria-label="What is surveyed"
          value={list}
          onChange={(event) => {
            onList(event.target.value as List);
            setIndex(0);
            setFigureIndex(0);
            setText('');
            setProblem('');
          }}
        >
          {lists.map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </div>

      <section aria-label={stop?.name ?? 'Nothing yet'} className="border-2 border-graphite bg-sheet p-3">
        <div className="flex items-start gap-2">
          <div className="min-w-0 flex-1">
            <p className="label">{stop ? `${index + 1} of ${stops.length}` : 'none yet'}</p>
            <h2 className="heading text-2xl">{stop?.name ?? 'None yet'}</h2>
          </div>
          <button type="button" className={square} aria-label="The one ahead" onClick={() => go(index - 1)}>
            <ChevronLeft />
          </button>
          <button type="button" className={square} aria-label="The one behind" onClick={() => go(index + 1)}>
            <ChevronRight />
          </button>
        </div>
        {stop && (
          <div className="mt-2 flex flex-wrap gap-1.5" role="group" aria-label={`Figures of ${stop.name}`}>
            {stop.figures.map(({ name, mm }, place) => (
              <button
                key={name}
                type="button"
                aria-pressed={place === figureIndex}
                className={`min-h-16 min-w-16 flex-1 border px-1 pt-1 text-center ${place === figureIndex ? 'border-layout bg-layout-wash' : 'border-rule'}`}
                onClick={() => go(index, place)}
              >
                <span className="block truncate text-sm text-pencil">{name}</span>
                <span className="heading block text-xl [&_.nuance]:hidden">
                  {mm === undefined ? '–' : <Length mm={mm} format={display} />}
                </span>
              </button>
            ))}
          </div>
        )}
      </section>

      {canWrite && (
        <div className="flex gap-2">
          <button type="button" className="button min-h-13 flex-1" onClick={add}>
            <Plus size={18} /> One more behind
          </button>
          <button
            type="button"
            className="button min-h-13 flex-1"
            disabled={!stop}
            onClick={() => stop && tried('Removed at the frame', stop.without()) && go(index - 1)}
          >
            <Trash2 size={18} /> Delete
          </button>
        </div>
      )}
      {children?.(stop)}
    </ThumbLayout>
  );
}
