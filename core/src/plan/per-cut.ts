import type { Section } from '../sections/index.ts';
import type { CutFace } from './face.ts';
import type { Piece } from './piece.ts';

/** A piece in its own coordinates: its rails between two faces, wherever it is. */
export type LocalPiece = Pick<Piece, 'rails' | 'front' | 'rear'>;

type Work<T> = (piece: LocalPiece, section: (id: string) => Section) => T;

interface Known<T> {
  readonly rails: LocalPiece['rails'];
  readonly section: (id: string) => Section;
  readonly value: T;
}

/**
 * Remembers what `work` gives for a piece in its own coordinates: one that a drag only moves is not worked out again.
 * Everything is known by its identity, and forgotten with the faces.
 *
 * @param work What is worked out of the rails between two faces; it must not look at where the piece is.
 */
export function perCut<T>(work: Work<T>): Work<T> {
  const byFront = new WeakMap<CutFace, WeakMap<CutFace, Known<T>>>();
  return (piece, section) => {
    const { rails, front, rear } = piece;
    let byRear = byFront.get(front);
    if (!byRear) byFront.set(front, (byRear = new WeakMap()));
    const known = byRear.get(rear);
    if (known && known.rails === rails && known.section === section) return known.value;
    const value = work(piece, section);
    byRear.set(rear, { rails, section, value });
    return value;
  };
}
