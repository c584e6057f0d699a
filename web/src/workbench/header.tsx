import { Box, Download, History, Redo2, RulerDimensionLine, Scale, Search, Undo2, UserRoundCheck } from 'lucide-react';
import { handoffIn } from '@splay/core';
import { memo } from 'react';
import type { OpenDialog } from './dialogs.tsx';
import { ThemeButton } from './theme-button.tsx';
import { Renewed } from './renewed.tsx';
import { apartWords, SAVE_WORDS, waitingWords } from './save-words.ts';
import { type JobStore, redo, undo, useHistory, useJobState } from '../client/job-store.ts';

interface HeaderProps {
  readonly store: JobStore;
  readonly onDialog: (dialog: OpenDialog) => void;
  readonly onHold: (held: boolean) => void;
  readonly onMeasure: () => void;
  readonly onLookAround: () => void;
}

/** The job's name, how it is saved, and what can be done with it as a whole. */
export const Header = memo(function Header({ store, onDialog, onHold, onMeasure, onLookAround }: HeaderProps) {
  const state = useJobState(
    store,
    ({
      id,
      job,
      saveState,
      saveDetail,
      revision,
      showBefore,
      canWrite,
      canRecord,
      unsent,
      asOf,
      keepsNothing,
      ...state
    }) => ({
      waiting: handoffIn(state.records)?.body.to ?? '',
      others: state.here.filter((name) => name !== state.memberName).join(', '),
      id,
      job,
      saveState,
      saveDetail,
      revision,
      showBefore,
      canWrite,
      canRecord,
      unsent,
      asOf,
      keepsNothing,
    }),
  );
  const { past, future } = useHistory(store);
  const apart = apartWords(state);
  const bad =
    apart !== '' || (state.saveState !== 'saved' && state.saveState !== 'saving' && state.saveState !== 'changed');
  const tool = (name: string, Icon: typeof Scale, onClick: () => void, key = '') => (
    <button
      type="button"
      className="button px-2"
      onClick={onClick}
      aria-label={name}
      title={key ? `${name} (${key})` : name}
    >
      <Icon size={16} />
    </button>
  );
  const standing =
    apart && state.saveState !== 'stale'
      ? apart
      : state.canWrite
        ? SAVE_WORDS[state.saveState]
        : state.canRecord
          ? 'readings and photos only'
          : 'view only';
  const words = [
    standing,
    state.saveState === 'refused' && `: ${state.saveDetail}`,
    !apart && state.saveState === 'saved' && ` as revision ${state.revision}`,
    state.unsent.length > 0 && ` · ${waitingWords(state.unsent.length)}`,
    state.others !== '' && ` · ${state.others} ${state.others.includes(',') ? 'are' : 'is'} here too`,
  ]
    .filter(Boolean)
    .join('');
  return (
    <>
      <header className="pane flex h-12 shrink-0 items-center gap-2 border-b border-graphite bg-bench/60 px-4 pointer-coarse:h-15">
        <h1 className="heading min-w-0 shrink truncate text-xl" title={state.job.name}>
          {state.job.name}
        </h1>
        <p
          className={`line-clamp-2 min-w-17 flex-1 px-1 text-sm max-lg:leading-4 lg:truncate ${bad ? 'font-semibold text-oxide' : 'text-pencil'}`}
          role="status"
        >
          {words}
          {!bad && <span className="max-lg:hidden"> · plan “{state.job.plan.name}”</span>}
        </p>
        <Renewed />
        <button
          type="button"
          className="button px-2"
          disabled={past === 0 || !state.canWrite}
          onClick={() => undo(store)}
          title="Undo (Ctrl Z)"
        >
          <Undo2 size={15} aria-hidden="true" />
          <span className="max-lg:sr-only">Undo</span>
        </button>
        <button
          type="button"
          className="button px-2"
          disabled={future === 0 || !state.canWrite}
          onClick={() => redo(store)}
          title="Redo (Ctrl Shift Z)"
        >
          <Redo2 size={15} aria-hidden="true" />
          <span className="max-lg:sr-only">Redo</span>
        </button>
        <button
          type="button"
          className={`button shrink-0 whitespace-nowrap ${state.showBefore ? 'button-dark' : ''}`}
          aria-pressed={state.showBefore}
          onPointerDown={() => onHold(true)}
          onPointerUp={() => onHold(false)}
          onPointerLeave={() => onHold(false)}
          onKeyDown={(event) => event.key === ' ' && onHold(true)}
          onKeyUp={(event) => event.key === ' ' && onHold(false)}
        >
          <span>
            <span className="max-lg:sr-only">Hold for </span>before
          </span>
          <kbd className="border border-current px-1 text-xs leading-4 pointer-coarse:hidden">B</kbd>
        </button>
        {tool('Measure between two things', RulerDimensionLine, onMeasure, 'M')}
        {tool('Look around, in space', Box, onLookAround)}
        {tool('Find anything', Search, () => onDialog('palette'), 'Ctrl K')}
        {tool('Rulebook of this job', Scale, () => onDialog('rules'))}
        <ThemeButton />
        {state.waiting === '' ? (
          tool('Hand over', UserRoundCheck, () => onDialog('handoff'))
        ) : (
          <button type="button" className="button max-w-36 px-2" onClick={() => onDialog('handoff')}>
            <span className="truncate">Next: {state.waiting}</span>
          </button>
        )}
        {tool('History of this job', History, () => onDialog('history'))}
        <a className="button px-2" href={`/api/jobs/${state.id}/export`} aria-label="Download the job file" download>
          <Download size={16} />
        </a>
      </header>
      {/* Between the buttons of a tablet there is no room for it. */}
      {bad && (
        <p
          className="border-b border-oxide bg-oxide-wash px-4 py-1 font-semibold text-oxide lg:hidden"
          aria-hidden="true"
        >
          {words}
        </p>
      )}
    </>
  );
});
