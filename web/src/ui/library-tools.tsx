import type { ItemKind, LibraryItem } from '@splay/core';
import { BookMarked } from 'lucide-react';
import { useEffect, useState } from 'react';
import { api } from '../client/api.ts';
import type { ListedItem } from '../shared/listed-item.ts';

/** Keeps a copy of a donor or a body in the shop's library, and says so, or why not. */
export function KeepInLibrary({ what, textOf }: { readonly what: string; readonly textOf: () => string }) {
  const [said, setSaid] = useState('');
  const keep = async () => {
    setSaid('Keeping it …');
    const answer = await api.keepItem(textOf());
    setSaid(
      answer.ok
        ? `Kept as “${answer.value.name}”: a copy, for the next job.`
        : (answer.problems[0]?.message ?? `It was not kept: ${answer.detail}`),
    );
  };
  return (
    <div>
      <button type="button" className="button flex items-center gap-2" onClick={() => void keep()}>
        <BookMarked size={16} aria-hidden="true" /> Keep {what} in the library
      </button>
      {said && (
        <p role="status" className="mt-1 text-sm text-pencil">
          {said}
        </p>
      )}
    </div>
  );
}

interface FromLibraryProps {
  readonly kind: ItemKind;
  readonly label: string;
  readonly onPick: (item: LibraryItem) => void;
}

/** The shop's items of a kind to pick one from; nothing while there are none. */
export function FromLibrary({ kind, label, onPick }: FromLibraryProps) {
  const [items, setItems] = useState<readonly ListedItem[]>([]);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let wanted = true;
    void api.libraryItems().then((answer) => {
      if (wanted && answer.ok) setItems(answer.value.filter((item) => item.kind === kind));
    });
    return () => {
      wanted = false;
    };
  }, [kind]);
  const pick = async (id: string) => {
    const answer = await api.libraryItem(id);
    setProblem(answer.ok ? '' : answer.detail);
    if (answer.ok) onPick(answer.value);
  };
  if (items.length === 0) return null;
  return (
    <label className="block">
      <span className="sr-only">{label}</span>
      <select className="field" value="" onChange={({ target }) => void pick(target.value)}>
        <option value="">{label} …</option>
        {items.map(({ id, name, from }) => (
          <option key={id} value={id}>
            {from === '' ? name : `${name} (${from})`}
          </option>
        ))}
      </select>
      {problem && (
        <span role="alert" className="block text-sm text-oxide">
          {problem}
        </span>
      )}
    </label>
  );
}
