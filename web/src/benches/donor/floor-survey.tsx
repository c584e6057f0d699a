import { finer, formatLength, type Frame, measuringGuide, parseLength } from '@splay/core';
import { ChevronLeft, ChevronRight, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';
import { ThumbEntry } from '../../ui/thumb-entry.tsx';
import { ThumbLayout } from '../../ui/thumb-layout.tsx';
import { editProblems } from '../../ui/check-edit.ts';
import { FloorFeature } from './floor-feature.tsx';
import { type SurveyList, surveyLists, surveyStops, withOneMore } from './survey-stops.ts';

/** The donor at the frame: walk along it one thing at a time, and type each figure with a thumb. */
export function FloorSurvey({ store, job, canWrite, onLook }: BenchProps) {
  const { donor, display } = job;
  const lists = surveyLists(donor);
  const [asked, setAsked] = useState<SurveyList>('stations');
  const list = lists.some(([known]) => known === asked) ? asked : (lists[0]?.[0] ?? 'stations');
  const stops = surveyStops(donor, list);
  const [wanted, setIndex] = useState(0);
  // The list may have got shorter since: undo, or somebody else's change.
  const index = Math.max(0, Math.min(wanted, stops.length - 1));
  const stop = stops[index];
  const [figureIndex, setFigureIndex] = useState(0);
  const figure = stop?.figures[figureIndex];
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  const feature = list === 'features' ? donor.features.find(({ id }) => id === stop?.id) : undefined;
  const next = measuringGuide(job).find(({ state }) => state === 'missing');

  const go = (to: number, figureTo = 0) => {
    const at = stops.length === 0 ? 0 : (to + stops.length) % stops.length;
    const there = stops[at];
    if (there) onLook(there.x);
    setIndex(at);
    setFigureIndex(figureTo);
    setText('');
    setProblem('');
  };
  const put = (label: string, frame: Frame): boolean => {
    const wrong = editProblems({ ...job, donor: frame }, '');
    setProblem(wrong?.elsewhere ?? '');
    if (wrong) return false;
    change(store, label, (old) => ({ ...old, donor: frame }));
    return true;
  };
  const take = () => {
    if (!stop || !figure) return;
    const read = parseLength(text, display.unit);
    if (!read.ok) return setProblem(read.problem.message);
    const frame = figure.put(read.value);
    if (!put('Surveyed at the frame', frame)) return;
    // What was typed may have moved it along the frame: stay with it, then go on to its next figure or the next thing.
    const at = surveyStops(frame, list).findIndex(({ id }) => id === stop.id);
    if (figureIndex + 1 < stop.figures.length) go(at, figureIndex + 1);
    else go(at + 1);
  };
  const add = () => {
    const more = withOneMore(donor, list, index);
    if (!put('Added at the frame', more.frame)) return;
    setIndex(surveyStops(more.frame, list).findIndex(({ id }) => id === more.id));
    setFigureIndex(0);
    setText('');
  };
  const square =
    'flex h-13 w-13 shrink-0 items-center justify-center border border-graphite bg-sheet disabled:border-rule disabled:text-rule';
  return (
    <ThumbLayout
      entry={
        <ThumbEntry
          text={text}
          before={figure ? formatLength(figure.mm, finer(display)).text : '–'}
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
            setAsked(event.target.value as SurveyList);
            go(0);
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
          <div className="mt-2 flex gap-1.5" role="group" aria-label={`Figures of ${stop.name}`}>
            {stop.figures.map(({ name, mm }, place) => (
              <button
                key={name}
                type="button"
                aria-pressed={place === figureIndex}
                className={`min-h-16 min-w-0 flex-1 border px-1 pt-1 text-center ${place === figureIndex ? 'border-layout bg-layout-wash' : 'border-rule'}`}
                onClick={() => go(index, place)}
              >
                <span className="block truncate text-sm text-pencil">{name}</span>
                <span className="heading block text-xl [&_.nuance]:hidden">
                  <Length mm={mm} format={display} />
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
            onClick={() => stop && put('Removed at the frame', stop.without()) && go(index - 1)}
          >
            <Trash2 size={18} /> Take it out
          </button>
        </div>
      )}
      {canWrite && feature && (
        <FloorFeature
          feature={feature}
          onChange={(changed) =>
            put('Surveyed at the frame', {
              ...donor,
              features: donor.features.map((other) => (other.id === changed.id ? changed : other)),
            })
          }
        />
      )}
      {canWrite && donor.rails.kind === 'mirrored' && list === 'stations' && (
        <button
          type="button"
          className="button min-h-13"
          onClick={() => {
            const { stations } = donor.rails as Extract<Frame['rails'], { kind: 'mirrored' }>;
            const rails = { kind: 'measured', left: stations, right: stations } as const;
            if (put('Left and right measured apart', { ...donor, rails })) setAsked('right');
          }}
        >
          Measure the right rail apart
        </button>
      )}
      {next && (
        <p className="border-l-4 border-layout bg-layout-wash px-3 py-2 text-sm">
          <b>Still to measure:</b> {next.what}. {next.where}. Needed for: {next.answers}.
        </p>
      )}
    </ThumbLayout>
  );
}
