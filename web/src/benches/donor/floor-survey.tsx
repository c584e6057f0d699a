import { type Frame, measuringGuide, proposedPoints, type RefKind } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, recordNow } from '../../client/job-store.ts';
import { editProblems } from '../../ui/check-edit.ts';
import { PhotoStrip } from '../../ui/photo-strip.tsx';
import { ReadingAdvice } from '../../ui/reading-advice.tsx';
import { SurveyWalk } from '../../ui/survey-walk.tsx';
import { FloorFeature } from './floor-feature.tsx';
import { ProposePoints } from './propose-points.tsx';
import { UsualMeasurements } from './usual-measurements.tsx';
import { type SurveyList, surveyLists, surveyStops, withOneMore } from './survey-stops.ts';

/** What a picture taken on a walk is of; a station has no name of its own, and goes by where it is. */
const OF: Partial<Record<SurveyList, RefKind>> = {
  crossmembers: 'crossmember',
  features: 'feature',
  controls: 'control-point',
};

/** The donor at the frame: walk along it one thing at a time, and type each figure with a thumb. */
export function FloorSurvey({ store, job, result, canWrite, canRecord, records, onRecord, onLook }: BenchProps) {
  const { donor, display } = job;
  const lists = surveyLists(donor);
  // Whoever was sent here for one of the lists begins at that one.
  const [asked, setAsked] = useState<string>(() => store.getState().drawer ?? 'stations');
  const list = lists.find(([known]) => known === asked)?.[0] ?? lists[0]?.[0] ?? 'stations';
  const next = measuringGuide(job).find(({ state }) => state === 'missing');
  const put = (label: string, frame: Frame): string => {
    const wrong = editProblems({ ...job, donor: frame }, '', job);
    if (wrong) return wrong.elsewhere;
    change(store, label, (old) => ({ ...old, donor: frame }));
    return '';
  };
  return (
    <SurveyWalk<Frame, SurveyList>
      {...{ display, canWrite, lists, list, onLook, put }}
      onList={setAsked}
      stopsOf={(frame) => surveyStops(frame ?? donor, list)}
      withOneMore={(index) => {
        const { frame, id } = withOneMore(donor, list, index);
        return { doc: frame, id };
      }}
    >
      {(stop) => {
        const feature = list === 'features' ? donor.features.find(({ id }) => id === stop?.id) : undefined;
        return (
          <>
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
            {stop && (
              <PhotoStrip
                key={stop.id}
                of={
                  OF[list]
                    ? { kind: OF[list], id: stop.id }
                    : { x: stop.x, side: list === 'left' || list === 'right' ? list : null }
                }
                name={stop.name}
                records={records}
                disabled={!canRecord}
                onPhoto={(photo) => onRecord(recordNow(store, 'photo', photo))}
              />
            )}
            {list === 'controls' && <ReadingAdvice controls={result.controls} stage="before-cut" job={job} />}
            {list === 'controls' && (
              <ProposePoints
                proposed={proposedPoints(donor, result)}
                disabled={!canWrite}
                set={(label, next) => put(label, next(donor))}
              />
            )}
            {list === 'controls' && (
              <UsualMeasurements donor={donor} disabled={!canWrite} set={(label, next) => put(label, next(donor))} />
            )}
            {canWrite && donor.rails.kind === 'mirrored' && list === 'stations' && (
              <button
                type="button"
                className="button min-h-13"
                onClick={() => {
                  const { stations } = donor.rails as Extract<Frame['rails'], { kind: 'mirrored' }>;
                  const rails = { kind: 'measured', left: stations, right: stations } as const;
                  if (put('Left and right measured apart', { ...donor, rails }) === '') setAsked('right');
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
          </>
        );
      }}
    </SurveyWalk>
  );
}
