import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { type JobStore, useJobState } from '../client/job-store.ts';
import type { WorkbenchActions } from './actions.ts';

/** How many changes are named; of more only how many. */
const NAMED = 3;

/** How long ago a moment was, as people say it. */
function agoWords(iso: string, now: number): string {
  const minutes = Math.floor((now - Date.parse(iso)) / 60_000);
  if (minutes < 1) return 'just now';
  if (minutes < 60) return minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`;
  const hours = Math.floor(minutes / 60);
  return hours === 1 ? 'an hour ago' : `${hours} hours ago`;
}

interface NewsBarProps {
  readonly store: JobStore;
  readonly actions: Pick<WorkbenchActions, 'onBench' | 'onSelect'>;
}

/** What somebody else changed of the open job: which figures, by whom, and when; until it was read. */
export function NewsBar({ store, actions }: NewsBarProps) {
  const news = useJobState(store, (state) => state.news);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const clock = setInterval(() => setNow(Date.now()), 15_000);
    return () => clearInterval(clock);
  }, []);
  if (!news) return null;
  const { by, at, changes } = news;
  const named = changes.slice(0, NAMED).map(({ say }) => say);
  const more = changes.length - named.length;
  const about = changes.find((change) => change.about !== null)?.about ?? null;
  const read = () => store.setState({ news: null });
  return (
    <div
      role="status"
      className="pane flex min-h-9 shrink-0 items-center gap-3 border-b border-layout bg-layout-wash px-4 text-sm"
    >
      <p className="min-w-0 flex-1 py-1">
        <b>{named.join(' · ')}</b>
        {more > 0 && ` and ${more} more`}, by {by}, {agoWords(at, now)}
      </p>
      {about !== null && (
        <button
          type="button"
          className="min-h-9 shrink-0 px-2 font-semibold text-layout underline underline-offset-2 pointer-coarse:min-h-[48px]"
          onClick={() => {
            read();
            actions.onBench('cuts');
            actions.onSelect(about);
          }}
        >
          Show
        </button>
      )}
      <button
        type="button"
        className="flex min-h-9 min-w-9 shrink-0 items-center justify-center pointer-coarse:min-h-[48px] pointer-coarse:min-w-[48px]"
        aria-label="I have read it"
        onClick={read}
      >
        <X size={16} aria-hidden="true" />
      </button>
    </div>
  );
}
