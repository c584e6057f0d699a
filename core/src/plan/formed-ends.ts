import { railAt } from '../frame/index.ts';
import type { SpliceForm, SplicePlan } from '../splice/index.ts';
import { isAt } from '../units/index.ts';
import type { Context } from './context.ts';
import type { CutFace } from './face.ts';
import { jointIdsOf } from './joint-ids.ts';
import { meanTop, type Piece, rearTop } from './piece.ts';
import type { PlanState } from './state.ts';

/** A square face as a form cuts it there: slanting, or in two halves. */
function formed(face: CutFace, form: SpliceForm, top: number, depth: number): CutFace {
  if (form.form === 'angled') return { ...face, lean: form.run / depth, z: top - depth / 2 };
  if (form.form !== 'step') return face;
  const half = (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
  return { ...face, step: { z: top - depth + form.height, above: half, below: -half } };
}

const isSame = (a: CutFace, b: CutFace): boolean => a.operation === b.operation && a.lean === b.lean && isAt(a.x, b.x);

/** Frames with their ends as they are cut; asked for several times in one evaluation. */
const known = new WeakMap<PlanState, { readonly splices: readonly SplicePlan[]; readonly state: PlanState }>();

/**
 * The frame with its square ends as their joints are really cut: steps and angled cuts. What hangs on the rail stays or goes by
 * these. The frame itself where no joint is decided to be either.
 *
 * @param state The frame in work.
 * @param splices How joints are made, as far as that is decided.
 * @param context Sections, rules and how lengths are written.
 */
export function withFormedEnds(state: PlanState, splices: readonly SplicePlan[], context: Context): PlanState {
  const forms = new Map(
    splices.flatMap(({ joint, rails: { form } }) =>
      form.form === 'step' || form.form === 'angled' ? [[joint, form] as const] : [],
    ),
  );
  if (forms.size === 0) return state;
  const found = known.get(state);
  if (found?.splices === splices) return found.state;
  const ids = jointIdsOf(state);
  const changed: { readonly face: CutFace; readonly to: CutFace }[] = [];
  ids.forEach((id, index) => {
    const form = forms.get(id);
    if (!form) return;
    const cut = (piece: Piece | undefined, face: CutFace | undefined) => {
      if (!piece || !face || face.lean !== 0) return;
      const { top } = meanTop(piece, face.x, face === piece.rear ? 'front' : 'rear');
      const { section } = railAt(
        piece.rails.left,
        Math.min(face.x, rearTop(piece)),
        face === piece.rear ? 'front' : 'rear',
      );
      changed.push({ face, to: formed(face, form, top, context.section(section).depth) });
    };
    cut(state.pieces[index], state.pieces[index]?.rear);
    cut(state.pieces[index + 1], state.pieces[index + 1]?.front);
  });
  const faceOf = (face: CutFace): CutFace => changed.find((one) => isSame(one.face, face))?.to ?? face;
  const ends = <P extends Piece>(piece: P): P => ({ ...piece, front: faceOf(piece.front), rear: faceOf(piece.rear) });
  const formedState = { ...state, pieces: state.pieces.map(ends), removed: state.removed.map(ends) };
  known.set(state, { splices, state: formedState });
  return formedState;
}
