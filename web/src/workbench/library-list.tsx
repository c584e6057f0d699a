import { Download, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api } from '../client/api.ts';
import { useAwake } from '../client/use-awake.ts';
import type { ListedItem } from '../shared/listed-item.ts';
import { FileButton } from '../ui/file-button.tsx';

interface LibraryListProps {
  readonly items: readonly ListedItem[];
  readonly writes: boolean;
}

/** Donors and bodies that the shop keeps for the next job: each to download, or to take out; and files to take in. */
export function LibraryList({ items: listed, writes }: LibraryListProps) {
  const awake = useAwake();
  const [items, setItems] = useState(listed);
  const [problem, setProblem] = useState('');
  const drop = async (item: ListedItem) => {
    const answer = await api.dropItem(item.id);
    if (!answer.ok) return setProblem(answer.detail);
    setProblem('');
    setItems((old) => old.filter(({ id }) => id !== item.id));
  };
  const take = async (file: File) => {
    const answer = await api.keepItem(await file.text());
    if (!answer.ok) {
      const [first] = answer.problems;
      return setProblem(first ? `${first.path} ${first.message}`.trim() : answer.detail);
    }
    setProblem('');
    setItems((old) => [...old, answer.value]);
  };
  return (
    <section aria-label="Library" className="mt-8">
      <div className="flex items-end justify-between gap-4 border-b-2 border-graphite pb-1">
        <h2 className="heading text-2xl">Library</h2>
        {writes && (
          <FileButton label="Item file" disabled={!awake} onFile={(file) => void take(file)}>
            Import a donor or body
          </FileButton>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was stored.
        </p>
      )}
      {items.length === 0 ? (
        <p className="py-3 text-pencil">
          Donors and bodies that you keep from a job stand here, for the next one: from the benches Donor and Body.
        </p>
      ) : (
        <ul>
          {items.map((item) => (
            <li key={item.id} className="flex items-center gap-3 border-b border-rule py-2">
              <span className="label w-14">{item.kind}</span>
              <span className="min-w-0 flex-1">
                <b>{item.name}</b>
                <span className="text-sm text-pencil">
                  {item.from && ` from ${item.from}`}, kept by {item.savedBy}, {item.savedAt.slice(0, 10)}
                </span>
              </span>
              <a className="button px-2" href={`/api/library/${item.id}`} aria-label={`Download ${item.name}`} download>
                <Download size={16} />
              </a>
              {writes && (
                <button
                  type="button"
                  className="button px-2"
                  disabled={!awake}
                  aria-label={`Take ${item.name} out of the library`}
                  onClick={() => void drop(item)}
                >
                  <Trash2 size={16} />
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
