/** Says under a measurement which points it goes by were not measured; nothing where all were. */
export function AssumedPoints({ names }: { readonly names: readonly string[] }) {
  if (names.length === 0) return null;
  return <span className="block text-sm text-pencil">Place assumed: {names.join(', ')}</span>;
}
